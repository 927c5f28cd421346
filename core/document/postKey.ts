/** A post of a job in one word: its line and itself, as in `B/B4`. A slash in either name is written `%2F`. */
export type PostKey = string & { readonly __postKey?: never }

const written = (name: string) => name.replaceAll('%', '%25').replaceAll('/', '%2F')
const read = (name: string) => name.replaceAll('%2F', '/').replaceAll('%25', '%')

/**
 * The key of a post.
 *
 * @param prefix stands before it where posts of several jobs lie side by side
 * @example postKey({ line: 'B', post: 'B4' }) // 'B/B4'
 * @example postKey({ line: 'East/West', post: 'E1' }) // 'East%2FWest/E1'
 */
export const postKey = ({ line, post }: { line: string; post: string }, prefix = ''): PostKey =>
  `${prefix}${written(line)}/${written(post)}`

/**
 * Line and post of a key: its last two parts, whatever stands before.
 *
 * @example readPostKey('B/B4') // { line: 'B', post: 'B4' }
 */
export function readPostKey(key: PostKey): { line: string; post: string } {
  const [line = '', post = ''] = key.split('/').slice(-2)
  return { line: read(line), post: read(post) }
}
