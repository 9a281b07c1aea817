/**
 * The script of pages with states, the same for all of them. What a page does stands in it as data: which instances have
 * which states (`data-sormet-states`), what goes by them in any combination (`data-sormet-vary`), what is set when something is pressed
 * (`data-sormet-acts`); see `core/resolve/acting.ts`, which writes that. So the script knows no component, and nothing that it puts
 * into a page was made while it runs.
 *
 * - `Q`: the attribute under a name; `S`: by element the states of the instances whose root it is, by name: [place among all values, how many, whether round].
 * - `F`: the states that a name means at an element: of the nearest instance around that has it.
 * - `V`: puts in place all that goes by states in an element.
 * - `A`: does what an element does when it is pressed, then brings up to date what stands in the instances of which a state changed.
 */
export const BEHAVIOUR_JS = `(()=>{
const D=document,S=new Map,N='data-sormet-',Q=(e,n)=>JSON.parse(e.getAttribute(N+n)),Y='['+N+'vary]',
F=(e,n)=>{for(;e;e=e.parentElement){const s=S.get(e);if(s&&s[n])return[s,e]}},
V=e=>{for(const[n,t]of Q(e,'vary')){const a=t[n.map(x=>F(e,x)[0][x][0]).join()];
for(const k in a)k?a[k]===null?e.removeAttribute(k):e.setAttribute(k,a[k]):e.innerHTML=a[k]}},
U=r=>{if(r.matches(Y))V(r);r.querySelectorAll(Y).forEach(V)},
A=e=>{const R=new Set;for(const[o,l]of Q(e,'acts'))if(o=='press')for(const[n,t]of l){const[s,r]=F(e,n),v=s[n],[i,m,c]=v;
let j=t=='next'?i+1:t=='before'?i-1:t=='other'?+!i:t;
if(j<0)j=c?m-1:0;if(j>=m)j=c?0:m-1;if(j!=i){v[0]=j;R.add(r)}}
R.forEach(U)},
B=e=>e&&e.closest('['+N+'acts]');
for(const e of D.querySelectorAll('['+N+'states]'))S.set(e,Q(e,'states'));
S.forEach((_,e)=>U(e));
D.addEventListener('click',v=>{for(let e=B(v.target);e;e=B(e.parentElement))A(e)})
})()`;
