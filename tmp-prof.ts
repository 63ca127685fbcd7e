import { finish } from './src/core/task/task.ts';
import { frustum } from './src/core/geometry/frustum.ts';
import { levelsOf } from './src/core/flow/levels.ts';
import { fieldOf } from './src/core/flow/field.ts';
import { warpOf } from './src/core/flow/stroke.ts';
import { sharesOf } from './src/core/flow/shares.ts';
import { flowOf } from './src/core/flow/potential.ts';
import { waver } from './src/core/flow/hand.ts';
const W=200,L=280,H=60;
const region = frustum({width:W,length:L},{width:W,length:L},0,H);
const col: [number,number][] = [[-20,-20],[20,-20],[20,20],[-20,20]];
const blocked = frustum({width:40,length:40},{width:40,length:40},0,H);
const box={x0:-100,x1:100,y0:-140,y1:140};
const fan: [number,number][][] = Array.from({length:24},(_,i)=>{const a=2*Math.PI*i/24; const c=Math.cos(a),s=Math.sin(a); const far=Math.min(95/Math.abs(c||1e-9),135/Math.abs(s||1e-9)); return [[c*28,s*28],[c*far,s*far]];});
const time=<T,>(n:string,f:()=>T)=>{const t=performance.now(); const r=f(); console.log(n,(performance.now()-t).toFixed(0)); return r;};
for(let k=0;k<2;k++){
time('levels',()=>levelsOf({region,blocked,column:col,up:[0,0,1]}));
time('flow',()=>flowOf({nx:89,ny:124,dx:2.25,dy:2.25},new Float64Array(89*124).map((_,i)=>i%2-.5)));
time('field',()=>finish(fieldOf(box,{points:col})));
time('shares',()=>sharesOf(box,undefined,col,(u,v)=>u*v));
time('warp',()=>finish(warpOf(fan,14,box)));
time('waver',()=>waver(box,1,7));
}
