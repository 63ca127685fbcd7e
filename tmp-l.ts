import { finish } from './src/core/task/task.ts';
import { frustum } from './src/core/geometry/frustum.ts';
import { prepare } from './src/core/flow/prepare.ts';
import { rowReader } from './src/core/flow/depositAt.ts';
import type { Move, Source } from './src/core/flow/spec.ts';
const W=200,L=280,H=60;
const region = frustum({width:W,length:L},{width:W,length:L},0,H);
const srcs: Record<string,Source> = {line:{kind:'line',axis:0,at:0}, wall:{kind:'line',axis:0,at:-100}, walls:{kind:'walls',axis:0,low:.5}, point:{kind:'point',at:[0,0]}, corner:{kind:'point',at:[-100,-140]}};
for (const [n,source] of Object.entries(srcs)) {
const moves: Move[] = Array.from({length:30},(_,i)=>({does:'rise',source,volumeMm3:W*L*H/30,plunge:2.2,deposit:i}));
const p=finish(prepare({key:'',region,blocked:undefined,column:undefined,up:[0,0,1],moves,hand:0}));
 const rd=rowReader(p); const c=new Float64Array(33); const o=new Uint16Array(1);
 let s=1; const rnd=()=>{s=(s*16807)%2147483647; return s/2147483647;}; const N=2e6;
 for(let k=0;k<N;k++){ rd([(rnd()-.5)*W,(rnd()-.5)*L,rnd()*H],[0,0,0],1,o,0,1); c[o[0]!]!++; }
 console.log(n,[...c].slice(0,31).map((n,i)=>i===0?n:(n/N*30).toFixed(3)).join(' '));
}
