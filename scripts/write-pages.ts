import { writeFileSync } from 'node:fs'
import { diagnosisPage } from '../core/cause/page'
import { conditions } from '../data/conditions'
import { diagnosis } from '../data/diagnosis'
import { tables } from '../data/tables'
import { trialPosts } from '../evaluation/posts'
import { postsPage } from '../evaluation/postsPage'
import { yearsPage } from '../evaluation/yearsPage'

// npm run pages: pages of the documentation that are made from the tables.
writeFileSync('docs/diagnosis.md', diagnosisPage(diagnosis, conditions))
writeFileSync('docs/thirty-posts.md', postsPage(trialPosts, tables))
writeFileSync('docs/how-long.md', yearsPage(tables))
