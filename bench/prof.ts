import { demoCommissions } from '../demo/commissions/index.ts';
import { survey } from '../core/survey/survey.ts';
import { newMemo } from '../core/survey/memo.ts';
const [c] = demoCommissions('2026-11-25');
for (let i=0;i<4;i++){ console.time('survey'); survey(c); console.timeEnd('survey'); }
const memo=newMemo(); survey(c,{memo});
let d=c; 
for (let i=0;i<8;i++){ const o=d.options[0]; d={...d, options:[{...o, pieces:o.pieces.map((p,k)=>k===4?{...p,at:[320+i*3,190]}:p)}, d.options[1]]}; console.time('move'); survey(d,{memo}); console.timeEnd('move'); }
for (let i=0;i<200;i++){ const o=d.options[0]; d={...d, options:[{...o, pieces:o.pieces.map((p,k)=>k===4?{...p,at:[320+i%30*3,190]}:p)}, d.options[1]]};  survey(d,{memo}); }
