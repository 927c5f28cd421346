import { diagnose } from '../core/cause/diagnose'
import { diagnosis } from '../data/diagnosis'
const p=(f:any,s:any)=>{const d=diagnose(f,s,diagnosis);console.log(JSON.stringify(s),'S',d.nothingWrong.probability.toFixed(3),d.settled,d.causes.slice(0,3).map(c=>c.cause+' '+c.probability.toFixed(2)).join(', '));for(const n of d.nextChecks)console.log('   ',n.observation,n.saves.toFixed(4),n.gain.toFixed(4),n.why)}
const sw={material:'treated-softwood',duty:'line',ageYears:10}
p(sw,{ pushPivot: 'at-ground-line', breakFace: 'none' });p({...sw,pointedAt:true},{ pushPivot: 'at-ground-line', breakFace: 'none' });
p({...sw,material:'oak',ageYears:18},{ tap: 'hollow', probeAtGround: 0.012 })
p(sw,{pushPivot:'footing-moves'});p(sw,{pushPivot:'panel-only'});p({...sw,pointedAt:true},{pushPivot:'panel-only'});p({...sw,pointedAt:true},{pushPivot:'panel-only',fixings:'loose-rails'});
