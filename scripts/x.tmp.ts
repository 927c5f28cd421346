import { plan } from '../core/plan/plan'
import { tables } from '../data/tables'
const job=(extra={},post={},site={},line={})=>({format:'vindex-job',version:1,name:'s',site:{exposure:'sheltered',shelter:.7,gust50:38,...site},lines:[{id:'A',kind:'close-boarded',height:1.8,gap:.05,length:24,...line,posts:Array.from({length:11},(_,i)=>({id:'A'+i,station:i*2.4,soil:'firm-clay',footing:{kind:'concrete',diameter:.25,top:.05,bottom:.6},...post}))}]}) as any
const show=(p:any)=>{console.log('standing',p.standing.state,p.standing.leanGust?.toFixed(1),p.standing.holdingGust?.toFixed(1),'bare',p.standing.bareGust?.toFixed(1),p.standing.range, p.standing.returnYears?.toFixed(1), p.standing.says);for(const m of p.methods)console.log(' ',m.method,m.verdict,m.holdsTarget,m.leanGust?.toFixed(1),m.holdingGust?.toFixed(1),m.weakest,m.hole&&[m.hole.diameter,m.hole.depth,m.hole.rule].join(),m.concrete?.bags.count,m.concrete?.bags.exactCount.toFixed(2),m.minutes.toFixed(0),m.reasons.join('|'),m.leavesUnsolved.join())
 console.log(p.depthRules.map((r:any)=>r.rule+' '+r.depth?.toFixed(2)).join('; '), JSON.stringify(p.recommended))}
show(plan(job(),tables).posts[5])
show(plan(job({},{saturated:true}),tables).posts[5])
show(plan(job({},{observations:{pushPivot:'footing-moves'}}),tables).posts[5])
show(plan(job({},{footing:undefined,length:2.4}),tables).posts[5])
