/** Whatever no route answers: JSON, never the page of the application. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return {
    error: {
      code: 'no-such-route',
      message: `unknown request: ${event.method} ${event.path.split('?')[0]}`,
      path: '',
    },
  }
})
