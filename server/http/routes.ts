/** Every address under /api with its methods; a test holds it to the files that answer. */
export const ROUTES: readonly (readonly [path: string, methods: readonly string[]])[] = [
  ['/api/health', ['GET']],
  ['/api/jobs', ['GET', 'POST']],
  ['/api/jobs/import', ['POST']],
  ['/api/jobs/:id', ['GET', 'DELETE']],
  ['/api/jobs/:id/restore', ['POST']],
  ['/api/jobs/:id/commands', ['POST']],
  ['/api/jobs/:id/export', ['GET']],
  ['/api/jobs/:id/history', ['GET']],
  ['/api/jobs/:id/hole', ['GET']],
  ['/api/jobs/:id/customer-page', ['GET']],
  ['/api/jobs/:id/photographs/:photograph', ['GET', 'PUT']],
  ['/api/jobs/:id/offers', ['GET', 'POST']],
  ['/api/jobs/:id/offers/:offer/pdf', ['GET']],
  ['/api/jobs/:id/offers/:offer/link', ['POST']],
  ['/api/jobs/:id/offers/:offer/answer', ['POST']],
  ['/api/offers/:token', ['GET']],
  ['/api/offers/:token/pdf', ['GET']],
  ['/api/offers/:token/answer', ['POST']],
  ['/api/calc/:name', ['POST']],
  ['/api/forecast', ['GET']],
  ['/api/storm-watch', ['GET']],
  ['/api/offer-watch', ['GET']],
  ['/api/visit-watch', ['GET']],
  ['/api/lessons', ['GET']],
  ['/api/yard', ['GET']],
  ['/api/yard/changes', ['POST']],
  ['/api/yard/history', ['GET']],
  ['/api/instruments/:kind', ['GET']],
]

/**
 * Methods that an address takes.
 *
 * @example methodsOf('/api/jobs/x/history') // ['GET']
 * @returns nothing where there is no such address
 */
export function methodsOf(path: string): readonly string[] {
  const steps = path.split('/')
  return ROUTES.filter(([pattern]) => fits(pattern.split('/'), steps)).flatMap(([, methods]) => methods)
}

const fits = (pattern: readonly string[], steps: readonly string[]): boolean =>
  pattern.length === steps.length && pattern.every((step, i) => (step.startsWith(':') ? steps[i] : steps[i] === step))
