/** Something asked for by its id is not there. What it means to a caller over HTTP is said in `http/errors.ts`. */
export class NotFoundError extends Error {}
