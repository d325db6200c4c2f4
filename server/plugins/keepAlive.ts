/** Longer than a browser or a program leaves a connection idle: else one is closed under a request on its way. */
const keepAliveMs = 75_000

/** Connections that wait for the next request are kept. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hookOnce('request', ({ node }) => {
    const { server } = node.req.socket as unknown as { server?: { keepAliveTimeout: number } }
    if (server) server.keepAliveTimeout = keepAliveMs
  })
})
