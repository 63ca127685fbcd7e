import { finish } from './src/core/task/task.ts';
import { frustum } from './src/core/geometry/frustum.ts';
import { prepare } from './src/core/flow/prepare.ts';
import { rowReader } from './src/core/flow/depositAt.ts';
import type { Move, BlockSpec, Spot } from './src/core/flow/spec.ts';
import { encode } from 'fast-png';
import { writeFileSync } from 'node:fs';
const COL = [[236,122,44],[62,150,70],[190,30,50],[50,80,170],[240,208,64],[110,60,140]];
const W=200,L=280,H=60;
const region = frustum({width:W,length:L},{width:W,length:L},0,H);
const col: Spot[] = [[-20,-20],[20,-20],[20,20],[-20,20]];
const blocked = frustum({width:40,length:40},{width:40,length:40},0,H);
const total=(W*L-1600)*H;
const moves: Move[] = [];
for (let r=0;r<5;r++) for (let p=0;p<6;p++) moves.push({does:'rise',source:{kind:'outline',points:col},volumeMm3: total/30, plunge:2.2, deposit:p});
moves.push({does:'fill',parts:[5,4].map(d=>({deposit:d,volumeMm3:1600*H/2,plunge:2.2}))});
const fan: Spot[][] = Array.from({length:24},(_,i)=>{const a=2*Math.PI*i/24; const c=Math.cos(a),s=Math.sin(a); const far=Math.min(95/Math.abs(c||1e-9),135/Math.abs(s||1e-9)); return [[c*28,s*28],[c*far,s*far]];});
if (process.argv[2]) moves.push({does:'stroke',paths:fan,widthMm:14,depthMm:60});
const spec: BlockSpec = {key:'x',region,blocked,column:col,up:[0,0,1],moves,hand:Number(process.argv[3]??0)};
let t=performance.now();
const p = finish(prepare(spec));
const depositsAlong = (q: typeof p, ...a: Parameters<ReturnType<typeof rowReader>>) => read(...a); const read = rowReader(p);
console.log('prepare', performance.now()-t);
for (let k=0;k<3;k++){ t=performance.now(); const out=new Uint16Array(600*180); for(let j=0;j<180;j++) depositsAlong(p,[-W/2,70,(j+.5)/180*H],[W/600,0,0],600,out,j*600,1); console.log('face',performance.now()-t);}
function png(name:string,w:number,h:number,at:(i:number,j:number)=>[number[],number[]]){ const data=new Uint8Array(w*h*3); const out=new Uint16Array(w); for(let j=0;j<h;j++){const [f,s]=at(0,j); depositsAlong(p,f as never,s as never,w,out,0,1); for(let i=0;i<w;i++){const c=COL[out[i]!-1]??[0,0,0]; data.set(c,(j*w+i)*3);} } writeFileSync(name,encode({width:w,height:h,data,channels:3,depth:8})); }
png('/tmp/top.png',400,560,(i,j)=>[[-W/2,L/2-(j+.5)/560*L,H-0.01],[W/400,0,0]]);
const ys=[0,25,70,120,139];
png('/tmp/sec.png',600,200*ys.length,(i,j)=>{const k=Math.floor(j/200); return [[-W/2,ys[k]!,H-((j%200)+.5)/200*H],[W/600,0,0]];});
// volumes
const NZ=Number(process.argv[4]??40); const cnt=new Float64Array(7); const out=new Uint16Array(200); for(let z=0;z<NZ;z++) for(let y=0;y<280;y++){ depositsAlong(p,[-W/2+.5,-L/2+y+.5,(z+.37)/NZ*H],[1,0,0],200,out,0,1); for(const d of out) cnt[d]!++; }
console.log([...cnt].map(c=>(c/(200*280*NZ)*W*L*H/(total/6)).toFixed(4)).join(' '));
{
 const mv = moves.map((m,i)=>m.does==='rise'?{...m,deposit:i}:m.does==='fill'?{...m,parts:m.parts.map((q,k)=>({...q,deposit:30+k}))}:m);
 const q = finish(prepare({...spec,moves:mv})); const rd=rowReader(q); const c=new Float64Array(33); const o=new Uint16Array(1);
 let s=1; const rnd=()=>{s=(s*16807)%2147483647; return s/2147483647;}; const N=3e6;
 for(let k=0;k<N;k++){ rd([(rnd()-.5)*W,(rnd()-.5)*L,rnd()*H],[0,0,0],1,o,0,1); c[o[0]!]!++; }
 console.log([...c].map((n,i)=>i===0?n:(n/N*W*L*H/(i<=30?total/30:48000)).toFixed(3)).join(' '));
}
