import type { Right } from '../../shared/people'

type Methods = Readonly<Partial<Record<'GET' | 'POST' | 'PUT' | 'DELETE', Right>>>

/**
 * Every address under /api with its methods and what each asks for; a test holds it to the files that answer. What is
 * not here answers nobody.
 */
export const ROUTES: readonly (readonly [path: string, methods: Methods])[] = [
  ['/api/health', { GET: 'anyone' }],
  ['/api/ready', { GET: 'anyone' }],
  ['/api/metrics', { GET: 'anyone' }],
  ['/api/session', { GET: 'anyone', POST: 'anyone', DELETE: 'anyone' }],
  ['/api/session/first', { POST: 'anyone' }],
  ['/api/session/passkey', { POST: 'anyone' }],
  ['/api/session/question', { POST: 'anyone' }],
  ['/api/invitations/:token', { GET: 'anyone', POST: 'anyone' }],
  ['/api/self', { GET: 'self' }],
  ['/api/self/password', { POST: 'self' }],
  ['/api/self/question', { POST: 'self' }],
  ['/api/self/passkeys', { POST: 'self' }],
  ['/api/self/passkeys/:passkey', { DELETE: 'self' }],
  ['/api/self/devices/:device', { DELETE: 'self' }],
  ['/api/people', { GET: 'people', POST: 'people' }],
  ['/api/people/:person', { POST: 'people' }],
  ['/api/people/devices/:device', { DELETE: 'people' }],
  ['/api/people/invitations/:invitation', { DELETE: 'people' }],
  ['/api/audit', { GET: 'people' }],
  ['/api/jobs', { GET: 'work', POST: 'work' }],
  ['/api/jobs/import', { POST: 'work' }],
  ['/api/jobs/:id', { GET: 'work', DELETE: 'remove' }],
  ['/api/jobs/:id/restore', { POST: 'remove' }],
  ['/api/jobs/:id/commands', { POST: 'work' }],
  ['/api/jobs/:id/export', { GET: 'work' }],
  ['/api/jobs/:id/history', { GET: 'work' }],
  ['/api/jobs/:id/events', { GET: 'work' }],
  ['/api/jobs/:id/seen', { GET: 'people' }],
  ['/api/jobs/:id/hole', { GET: 'work' }],
  ['/api/jobs/:id/customer-page', { GET: 'work' }],
  ['/api/jobs/:id/photographs/:photograph', { GET: 'work', PUT: 'work' }],
  ['/api/jobs/:id/offers', { GET: 'work', POST: 'work' }],
  ['/api/jobs/:id/offers/:offer/pdf', { GET: 'work' }],
  ['/api/jobs/:id/offers/:offer/link', { POST: 'work', DELETE: 'work' }],
  ['/api/jobs/:id/offers/:offer/answer', { POST: 'work' }],
  ['/api/offers/:token', { GET: 'anyone' }],
  ['/api/offers/:token/pdf', { GET: 'anyone' }],
  ['/api/offers/:token/answer', { POST: 'anyone' }],
  ['/api/offers/:token/posts/:post', { GET: 'anyone' }],
  ['/api/calc/:name', { POST: 'work' }],
  ['/api/forecast', { GET: 'work' }],
  ['/api/storm-watch', { GET: 'work' }],
  ['/api/offer-watch', { GET: 'work' }],
  ['/api/visit-watch', { GET: 'work' }],
  ['/api/lessons', { GET: 'work' }],
  ['/api/yard', { GET: 'work' }],
  ['/api/yard/changes', { POST: 'yard' }],
  ['/api/yard/history', { GET: 'work' }],
  ['/api/instruments/:kind', { GET: 'work' }],
]

/**
 * Methods that an address takes, with what each asks for.
 *
 * @example methodsOf('/api/jobs/x/history') // { GET: 'work' }
 * @returns nothing where there is no such address
 */
export function methodsOf(path: string): Methods {
  const steps = path.split('/')
  const found = STEPS.filter(([pattern]) => fits(pattern, steps))
  // An address that is written out stands before one with a name in it.
  return Object.assign({}, ...found.reverse().map(([, methods]) => methods)) as Methods
}

/**
 * An address as it stands in the list, for whoever counts: names in it are left out.
 *
 * @example patternOf('/api/jobs/x/history') // '/api/jobs/:id/history'
 */
export function patternOf(path: string): string {
  const steps = path.split('/')
  return STEPS.find(([pattern]) => fits(pattern, steps))?.[0].join('/') ?? 'none'
}

/** The address that a request asks for, without what stands behind the question mark. */
export const pathOf = ({ path }: { path: string }): string => path.split('?', 1)[0]!

/** Asked at every request: taken apart once. */
const STEPS = ROUTES.map(([path, methods]) => [path.split('/'), methods] as const)

const fits = (pattern: readonly string[], steps: readonly string[]): boolean =>
  pattern.length === steps.length && pattern.every((step, i) => (step.startsWith(':') ? steps[i] : steps[i] === step))
