import type { Does } from '../resolve';

/**
 * The script of pages that do something. What a page does stands in it as data: which instances have which states
 * (`data-sormet-states`), what goes by them in any combination (`data-sormet-vary`), what is done when something happens
 * (`data-sormet-acts`), by what acts find elements (`data-sormet-at`); see `core/resolve/acting.ts` and `told-acts.ts`, which
 * write that. So the script knows no component, and nothing that it puts into a page was made while it runs, but words.
 *
 * A page loads the parts that it needs: most set states when something is pressed, and nothing else.
 */

/** What a script is made of, beside what its page does. */
export interface Script extends Does {
  /** Whether it tells the frame around what happens, and which keys are pressed: in a preview beside the bench. */
  readonly tells?: boolean;
}

/**
 * What all pages need.
 * - `Q`: the attribute under a name; `S`: by element the states of the instances whose root it is, by name: [place among all values, how many, whether round, words].
 * - `F`: the state that a name means at an element, with its root: of the nearest instance around that has it; `I`: at which places some of them are.
 * - `V`: puts in place all that goes by states in an element. `X` puts words of states into a text.
 * - `W`: sets a state. `P`: brings up to date what stands in the instances of which a state changed; what had the focus and is hidden gives it on, to what
 *   is next to it (WCAG 2.2, 2.4.3: focus order).
 * - `B`: the nearest element around that does something. `T` tells what happens; where nobody is told, it stands in no script.
 */
const COMMON = `D=document,S=new Map,N='data-sormet-',Y='['+N+'vary]',R=new Set,
Q=(e,n)=>JSON.parse(e.getAttribute(N+n)),
F=(e,n)=>{for(;e;e=e.parentElement){const s=S.get(e);if(s&&s[n])return[s[n],e]}},
I=(e,n)=>n.map(x=>F(e,x)[0][0]).join(),
V=e=>{for(const[n,t]of Q(e,'vary')){const a=t[I(e,n)];
for(const k in a){const v=X(e,a[k],k?0:E);if(!k){if(e.innerHTML!=v)e.innerHTML=v,M(e)}
else if(v===null)e.removeAttribute(k),k=='hidden'&&M(e);else e.setAttribute(k,v)}}},
U=r=>{if(r.matches(Y))V(r);r.querySelectorAll(Y).forEach(V)},
W=(e,n,t)=>{const[v,r]=F(e,n),[i,m,c]=v;let j=t=='next'?i+1:t=='before'?i-1:t=='other'?+!i:t??i;
if(j!=i){if(j<0)j=c?m-1:0;if(j>=m)j=c?0:m-1}if(j!=i){T('set',{name:n,from:i,to:j});v[0]=j;R.add(r)}},
P=()=>{const a=D.activeElement;R.forEach(U);R.clear();if(a&&a!=D.body&&!a.checkVisibility()){let p=a,t;
while(!(p=p.parentElement).checkVisibility());
t=[...p.querySelectorAll('a[href],button,input,select,textarea,summary,[tabindex]')].find(x=>x.checkVisibility());
if(!t){p.tabIndex=-1;t=p}t.focus()}},
B=e=>e&&e.closest('['+N+'acts]')`;

/** Words of states are put in place only where something may set them. */
const WORDLESS = `E=0,X=(e,s)=>s,M=e=>{}`;

/** Of a page that sets states when something is pressed, and does nothing else: all at once. */
const PRESSES = `G=(e,v)=>v&&v.n?v.t[I(e,v.n)]:v,
A=(e,o)=>{for(const[,l]of Q(e,'acts')){T('begun',{on:o,words:e.textContent});for(const[,n,t,q]of l)if(!q||G(e,q))W(e,n,G(e,t))}P()}`;

/**
 * Of a page that does more: acts one after the other, each when the one before it is done; what fails does what is done then.
 * - `X` puts the words of states into a text, with `E` as HTML, else as they are. `M` notes what changed, `H` says it in a region of its own
 *   where something was waited for (WAI-ARIA 1.2, `status`).
 * - `G`: what something is at that moment. `C`: the element that acts find under a number.
 * - `O`: what each act does, by the letters of `told-acts.ts`. `J`: acts in their order. `A`: does what an element does, unless it is still being done.
 */
const MORE = `E=t=>t.replace(/&/g,'&amp;').replace(/</g,'&lt;').replace(/>/g,'&gt;').replace(/\\xa0/g,'&nbsp;'),
X=(e,s,f)=>s&&s.replace(/\\uE000([^\\uE001]*)\\uE001/g,(w,n)=>{const s=F(e,n);return s?f?f(s[0][3]):s[0][3]:w}),
L=new Set,M=e=>L.add(e),K={},
H=()=>{const t=[...L].filter(e=>e.checkVisibility()).map(e=>e.textContent.trim()).filter(Boolean).join('. ');L.clear();
if(t){if(!K.e){const e=K.e=D.createElement('div');e.setAttribute('role','status');e.setAttribute(N+'status','');
e.style.cssText='position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap';D.body.append(e)}
K.e.textContent=t}},
G=(e,v,f)=>{if(v&&v.n)v=v.t[I(e,v.n)];return typeof v=='string'?X(e,v,f):v},
C=n=>{const a=[...D.querySelectorAll('['+N+'at~="'+n+'"]')],v=a.filter(x=>x.checkVisibility());
return v.find(x=>x.matches('[aria-selected=true],[aria-current]:not([aria-current=false])'))||v.find(x=>x.tabIndex>=0)||v[0]||a[0]},
O={
s(e,n,t,c){if(t&&(t.a||'f'in Object(t))){let x=t.a?t.a.split('.').reduce((o,k)=>Object(o)===o&&Object.hasOwn(o,k)?o[k]:null,c.r):C(t.f);
if(!t.a&&x)x=x.type=='checkbox'?x.checked:x.name&&x.type=='radio'?D.querySelector('[name="'+CSS.escape(x.name)+'"]:checked')?.value??'':x.value;
const w=x==null||typeof x=='object'?'':''+x;return t.m?void(Object.hasOwn(t.m,w)&&W(e,n,t.m[w])):O.t(e,n,w)}
if(t&&'v'in Object(t))return O.t(e,n,G(e,t.v));W(e,n,G(e,t))},
t(e,n,w){const[v,r]=F(e,n);if(v[3]!==w){T('set',{name:n,words:w});v[3]=w;v[0]=+!!w;R.add(r)}},
d(e,l,_,c){T('action',{});return J(e,G(e,l),c)},
g(e,a){const u=new URL(G(e,a),location);if(!/^(https?|mailto|tel):$/.test(u.protocol))throw Error('address');T('go',{to:u.href});location.href=u.href},
r(e,n){P();const t=C(n);if(t){t.scrollIntoView({behavior:matchMedia('(prefers-reduced-motion:reduce)').matches?'auto':'smooth'})}},
f(e,n){P();const t=C(n);if(t){t.focus();if(D.activeElement!=t){t.tabIndex=-1;t.focus()}}},
o(e,n){const t=C(n);if(t){P();T('open',{});t.showModal?t.open||t.showModal():t.popover?t.showPopover():'open'in t&&(t.open=true)}},
c(e,n){const t=C(n);if(t){T('close',{});t.close?t.close():t.popover?t.hidePopover():'open'in t&&(t.open=false)}},
y(e,w){return navigator.clipboard.writeText(G(e,w))},
async a(c,u,p,body){T('ask',{to:u.pathname+u.search,post:p});let x;c.r={};
try{x=await fetch(u,{method:p?'POST':'GET',body,headers:{accept:'application/json'},signal:AbortSignal.timeout(3e4)});
const j=await x.json().catch(_=>0);if(Object(j)===j)c.r=j}catch(y){T('unanswered',{});throw y}
T('answered',{status:x.status});if(!x.ok)throw Error(x.status)},
q(e,a,p,c){const u=new URL(G(e,a,encodeURIComponent),location);if(!/^https?:$/.test(u.protocol))throw Error('address');return O.a(c,u,p)},
k(e,n){const t=C(n),x=t&&[t,...t.querySelectorAll('input,select,textarea')].find(x=>x.willValidate&&!x.validity.valid);if(x){P();x.reportValidity();throw Error('wrong')}},
m(e,n,_,c){O.k(e,n);const t=C(n);if(t&&t.hasAttribute(N+'form'))return O.a(c,new URL(t.action),1,new URLSearchParams(new FormData(t))).then(_=>t.reset())},
w(e,s){const n=Math.max(0,G(e,s));T('wait',{seconds:n});return new Promise(r=>setTimeout(r,n*1e3))}},
J=(e,l,c)=>{const g=i=>{for(;i<l.length;i++){const[o,a,b,q,f]=l[i];if(q&&!G(e,q))continue;
const no=x=>{if(!f)throw x;T('failed',{});return J(e,f,c)};let r;
try{r=O[o](e,a,b,c)}catch(x){return no(x)}
if(r){P();const k=i+1;return r.then(_=>g(k),no)}}};return g(0)},
Z=new Map,
A=(e,o,m)=>Q(e,'acts').forEach(([h,l,x={}],i)=>{if(h!=o||m&&!m(x))return;
if(!Z.has(e))Z.set(e,new Set);const z=Z.get(e),c={r:{}};if(z.has(i)&&!x.again)return;z.add(i);T('begun',{on:o,words:e.textContent});
let r;const d=_=>{z.delete(i);P();if(r){e.removeAttribute('aria-busy');H()}L.clear()},n=y=>{T('ended',{why:y.message});d()};
try{r=J(e,l,c)}catch(y){return n(y)}
if(!r)return d();e.setAttribute('aria-busy','true');P();H();r.then(d,n)})`;

/** What tells the frame around what happens: only in previews. */
const TELLS = `T=(is,more)=>parent.postMessage({sormet:is,at:performance.now(),...more},'*')`;

const BEGIN = `for(const e of D.querySelectorAll('['+N+'states]'))S.set(e,Q(e,'states'));
S.forEach((_,e)=>U(e));
D.addEventListener('click',v=>{for(let e=B(v.target);e;e=B(e.parentElement))A(e,'press')});
`;

/** What is pressed and is no control of HTML is pressed by keys, too (WCAG 2.2, 2.1.1): it was given a place in the order of the focus. */
const KEYS = `D.addEventListener('keydown',v=>{const e=v.target;if((v.key=='Enter'||v.key==' ')&&e.matches('['+N+'press]')){v.preventDefault();e.click()}});
`;

/**
 * What else may happen than a press. Time passes only while it disturbs nobody: not while somebody is at it, it is out of sight,
 * or less motion is asked for (WCAG 2.2, 2.2.2).
 */
const HAPPENINGS = `for(const o of['change','submit'])D.addEventListener(o,v=>{for(let e=B(v.target);e;e=B(e.parentElement))A(e,o,x=>(x.stop&&v.preventDefault(),1))});
D.addEventListener('keydown',v=>{for(let e=B(v.target);e;e=B(e.parentElement))A(e,'key',x=>x.key==v.key&&!v.ctrlKey&&!v.metaKey&&!v.altKey&&(v.preventDefault(),1))});
D.querySelectorAll('['+N+'acts]').forEach(e=>Q(e,'acts').forEach(([o,,x])=>{
if(o=='enter')e.addEventListener('pointerenter',_=>A(e,o));
if(o=='leave')e.addEventListener('pointerleave',_=>A(e,o));
if(o=='view')new IntersectionObserver(l=>{l.at(-1).isIntersecting&&A(e,o)}).observe(e);
if(o=='time'){let s=0;new IntersectionObserver(l=>{s=l.at(-1).isIntersecting}).observe(e);
setInterval(_=>{s&&!D.hidden&&!e.matches(':hover,:focus-within')&&!matchMedia('(prefers-reduced-motion:reduce)').matches&&A(e,o,y=>y.seconds==x.seconds)},x.seconds*1e3)}
if(o=='swipe'){let p;e.addEventListener('touchstart',v=>{p=v.touches.length==1&&v.touches[0]},{passive:true});
e.addEventListener('touchend',v=>{if(!p)return;const q=v.changedTouches[0],h=q.clientX-p.clientX,g=q.clientY-p.clientY,
w=Math.abs(h)>Math.abs(g)?h<0?'left':'right':g<0?'up':'down';Math.max(Math.abs(h),Math.abs(g))>40&&w==x.way&&A(e,o,y=>y.way==w)})}
if(o=='begin')A(e,o)}));
`;

/**
 * Words of one's own for what is wrong with a field (HTML Living Standard, 4.10.21.3: `setCustomValidity`). They stand until
 * something in the form is another: what is wrong then is asked anew.
 */
const WRONG = `D.addEventListener('invalid',v=>{const e=v.target,w=e.getAttribute(N+'wrong');w&&!e.validity.customError&&e.setCustomValidity(w)},true);
D.addEventListener('input',v=>{const f=v.target.form||v.target;[v.target,...f.querySelectorAll('['+N+'wrong]')].forEach(e=>e.setCustomValidity&&e.setCustomValidity(''))});
`;

/** Keys that nothing in the page takes are told to the frame around: there they go on working after a press in the page. */
export const KEYS_TOLD = `addEventListener('keydown',v=>{if(!v.defaultPrevented&&!v.ctrlKey&&!v.metaKey&&!v.altKey&&!v.target.closest('input,select,textarea,[contenteditable]'))
parent.postMessage({sormet:'key',key:v.key},'*')});
`;

/** What is told stands nowhere in a script of which nobody wants to know. */
function untold(script: string): string {
  return script.replaceAll(/T\('\w+',\{[^{}]*\}\);?/g, '');
}

/** The script of a page that does something. */
export function behaviourJs({ more, happenings, keys, wrong, tells = false }: Script): string {
  // What else may happen is told apart by the part that does more.
  const declared = [
    COMMON,
    ...(more || happenings ? [MORE] : [WORDLESS, PRESSES]),
    ...(tells ? [TELLS] : []),
  ].join(',\n');
  const done = [BEGIN, keys ? KEYS : '', happenings ? HAPPENINGS : ''];
  if (wrong) done.push(WRONG);
  if (tells) done.push(KEYS_TOLD);
  const script = `(()=>{
const ${declared};
${done.join('')}})()`;
  return tells ? script : untold(script);
}
