import { groundMemory, postContext, type PostContext } from '../../core/repair/context'
import { standingFootingLink, standingPostLink } from '../../core/repair/standing'
import { resolveJob } from '../../core/resolve/resolve'
import type { Stand } from '../../core/survive/stand'
import { standOf } from '../../core/survive/standOf'
import type { Job, Line, Post, Site } from '../../core/document/job'
import { jobOf, runOfPosts, tables } from './builders'

/** The fence that experience was found on: a close-boarded run among houses, posts of 100 mm in concrete. */
export const standardFence = (change: { post?: Partial<Post>; site?: Site; line?: Partial<Line> } = {}): Job => {
  const job = jobOf(
    runOfPosts(17, 2.4, () => ({
      material: 'treated-softwood',
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      ageYears: 0,
      soil: 'firm-clay',
      footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
      ...change.post,
    })),
  )
  return {
    ...job,
    site: { exposure: 'sheltered', shelter: 0.7, gust50: 38, season: 'wet', ...change.site },
    lines: job.lines.map((line) => ({ ...line, ...change.line })),
  }
}

/** A post in the middle of the first line. */
export function midRun(job: Job): PostContext {
  const { site, lines } = resolveJob(job, tables)
  const [line] = lines
  return postContext(site, line!, line!.posts[Math.floor(line!.posts.length / 2)]!, tables, groundMemory())
}

export const standsNow = (context: PostContext): Stand =>
  standOf(context, [standingPostLink(context), standingFootingLink(context)!])
