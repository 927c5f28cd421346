import type { ResolvedPost } from '~~/core/resolve/resolve'
import type { Metres } from '~~/core/units/types'
import { STATE_WORDS } from '~/job/words'
import type { SectionModel } from './sectionModel'
import { drawnState } from './standing'

/** The drawing in words, for whoever does not see it. */
export function describeSection(
  post: ResolvedPost,
  section: SectionModel,
  show: (length: Metres) => string,
  method?: string,
): string {
  const measures = section.dimensions.map(({ length, says }) => `${says} ${show(length)}`)
  const notes = section.notes.map(({ text }) => text)
  return [
    `Post ${post.id}, ${STATE_WORDS[drawnState(post)]}`,
    method ? `drawn with: ${method.toLowerCase()}` : 'as it stands',
    ...measures,
    ...notes,
  ].join('; ')
}
