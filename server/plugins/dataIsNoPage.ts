import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * What makes pages safe works out its rules anew for each request, a fifth of what a short answer takes. Data is no
 * page: the guard gives it the headers that it needs.
 */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    if (event.path.startsWith('/api/')) event.context.security = { rules: { enabled: false }, route: '/api' }
  })
})
