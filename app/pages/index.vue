<template><p>Tarvin</p></template>
