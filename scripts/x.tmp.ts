import { plan } from '../core/plan/plan'
import { tables } from '../data/tables'
import { trialPosts, jobOf } from '../evaluation/posts'
for (const t of trialPosts) {
  const p = plan(jobOf(t), tables).posts.find(p=>p.post==='P')!
  const m = p.methods.find(m=>m.method===p.recommended?.method)
  const bad:string[]=[]
  const e=t.expects
  if (p.diagnosis.state!==e.state) bad.push('STATE '+p.diagnosis.state)
  if (e.cause && !p.diagnosis.inForce.includes(e.cause as any)) bad.push('CAUSE')
  if (e.repair.length ? !e.repair.includes(p.recommended?.method as any) : p.recommended) bad.push('REPAIR')
  const d=m?.hole?.depth, b=m?.concrete?.bags.count
  if (d!==undefined && e.depth && (d<e.depth[0]-1e-9||d>e.depth[1]+1e-9)) bad.push('DEPTH')
  if (b!==undefined && e.bags && (b<e.bags[0]||b>e.bags[1])) bad.push('BAGS')
  if (m && m.method!=='make-safe' && m.leavesUnsolved.length) bad.push('UNSOLVED '+m.leavesUnsolved)
  console.log((bad.length?'!! ':'   ')+t.name,'|',p.diagnosis.inForce.join('+'),'|',p.recommended?.method,m?.hole?[m.hole.diameter,d,m.hole.rule].join(' '):'',b??'',m?.concrete?.bags.exactCount.toFixed(2)??'','| leans',m?.leanGust?.toFixed(0),'over',m?.holdingGust?.toFixed(0),m?.holdsTarget,m?.parts.map(x=>x.key).join(),'| stands',p.standing.state,p.standing.holdingGust?.toFixed(0)??p.standing.range?.map(x=>x.toFixed(0)).join('-')??'',bad.join(' '))
  if (bad.length) for (const o of p.methods) console.log('        ',o.method,o.allowed,o.leanGust?.toFixed(0),o.holdingGust?.toFixed(0),o.weakest,o.hole?.depth,o.reasons.join(';'),'unsolved',o.leavesUnsolved.join(),'min',o.minutes.toFixed(0))
}
