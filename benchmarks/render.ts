import { Eta } from 'eta';
import Handlebars from 'handlebars';
import { h } from 'preact';
import { renderToString as preactString } from 'preact-render-to-string';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { build, Linker, prepare, write } from '@sormet/core/resolve';
import { dataOf } from '@sormet/core/value';
import {
  CARDS,
  cardSite,
  FOOTER,
  NAV,
  pageData,
  type CardData,
  type PageData,
  type Piece,
} from './card-site';
import { measure, rounded, type Report } from './measure';

const PAGES = 1000;

const NAV_HTML = NAV.map(([label, href]) => `<li><a href="${href}">${label}</a></li>`).join('');
const FOOTER_HTML = FOOTER.replace('&', '&amp;');

/** What is constant is written as such in every engine's template, as people who use it would. */
const ETA = `<div><header><nav aria-label="Main"><ul>${NAV_HTML}</ul></nav></header><main><section class="intro_page"><h1><%= it.name %></h1><p><% it.summary.forEach(function(p){ if (typeof p === 'string') { %><%= p %><% } else if (p.strong) { %><strong><%= p.strong %></strong><% } else { %><a href="<%= p.href %>"><%= p.text %></a><% } }) %></p></section><section><% it.cards.forEach(function(c){ %><article class="crd_card<% if (c.tone === 'loud') { %> crd_card_louder<% } %>"><h3><%= c.title %></h3><p><%= c.text %></p><% if (c.open) { %><a class="btn_button" href="<%= c.href %>"><%= c.label %></a><% } %></article><% }) %></section></main><footer><p>${FOOTER_HTML}</p></footer></div>`;

const HANDLEBARS = `<div><header><nav aria-label="Main"><ul>${NAV_HTML}</ul></nav></header><main><section class="intro_page"><h1>{{name}}</h1><p>{{#each summary}}{{#if this.strong}}<strong>{{this.strong}}</strong>{{else if this.href}}<a href="{{this.href}}">{{this.text}}</a>{{else}}{{this}}{{/if}}{{/each}}</p></section><section>{{#each cards}}<article class="crd_card{{#if loud}} crd_card_louder{{/if}}"><h3>{{title}}</h3><p>{{text}}</p>{{#if open}}<a class="btn_button" href="{{href}}">{{label}}</a>{{/if}}</article>{{/each}}</section></main><footer><p>${FOOTER_HTML}</p></footer></div>`;

/** The page as components of a library of the React kind, its `createElement` given. */
function pageOf(
  create: (type: unknown, props: object | null, ...children: unknown[]) => unknown,
  className: string,
) {
  const Button = ({ label, href }: { label: string; href: string }) =>
    create('a', { [className]: 'btn_button', href }, label);
  const Card = ({ title, text, label, href, open, tone }: CardData) =>
    create(
      'article',
      { [className]: tone === 'loud' ? 'crd_card crd_card_louder' : 'crd_card' },
      create('h3', null, title),
      create('p', null, text),
      open ? create(Button, { label, href }) : null,
    );
  const pieceOf = (piece: Piece, i: number) =>
    typeof piece === 'string'
      ? piece
      : 'strong' in piece
        ? create('strong', { key: i }, piece.strong)
        : create('a', { key: i, href: piece.href }, piece.text);
  // Elements that never change are made once, as the compilers of such libraries do.
  const header = create(
    'header',
    null,
    create(
      'nav',
      { 'aria-label': 'Main' },
      create(
        'ul',
        null,
        ...NAV.map(([label, href]) => create('li', { key: href }, create('a', { href }, label))),
      ),
    ),
  );
  const footer = create('footer', null, create('p', null, FOOTER));
  return ({ name, summary, cards }: PageData) =>
    create(
      'div',
      null,
      header,
      create(
        'main',
        null,
        create(
          'section',
          { [className]: 'intro_page' },
          create('h1', null, name),
          create('p', null, ...summary.map(pieceOf)),
        ),
        create('section', null, ...cards.map((card, i) => create(Card, { key: i, ...card }))),
      ),
      footer,
    );
}

/** How many times as many pages `write` makes as precompiled eta does, in one measurement. */
export function timesEta(): number {
  const data = pageData(PAGES);
  const { documents, entries, page } = cardSite(data);
  const template = prepare(new Linker().link(documents, page), dataOf(documents));
  const given = data.map((each) => ({
    ...each,
    cards: each.cards.map((card) => ({ ...card, loud: card.tone === 'loud' })),
  }));
  const eta = new Eta();
  const etaTemplate = eta.compile(ETA);
  let length = 0;
  const all = (one: (i: number) => string) => () => {
    for (let i = 0; i < PAGES; i += 1) length += one(i).length;
  };
  const times = measure([
    { name: 'write', round: all((i) => write(template, entries[i])) },
    { name: 'eta', round: all((i) => etaTemplate.call(eta, given[i]!)) },
  ]);
  if (length === 0) throw new Error('Nothing was written.');
  return times.get('eta')! / times.get('write')!;
}

/** Pages per second of `write`, beside four engines doing equal work to equal HTML. */
export function render(): Report {
  const data = pageData(PAGES);
  const { documents, entries, page } = cardSite(data);
  const linker = new Linker();
  const linked = linker.link(documents, page);
  const published = dataOf(documents);
  const template = prepare(linked, published);

  const given = data.map((each) => ({
    ...each,
    cards: each.cards.map((card) => ({ ...card, loud: card.tone === 'loud' })),
  }));
  const eta = new Eta();
  const etaTemplate = eta.compile(ETA);
  const handlebars = Handlebars.compile(HANDLEBARS);
  const ReactPage = pageOf(createElement as never, 'className') as never;
  const PreactPage = pageOf(h as never, 'class') as never;
  const engines = {
    'sormet write': (i: number) => write(template, entries[i]),
    eta: (i: number) => etaTemplate.call(eta, given[i]!),
    handlebars: (i: number) => handlebars(given[i]),
    'preact-render-to-string': (i: number) => preactString(h(PreactPage, data[i]! as never)),
    'react-dom/server': (i: number) =>
      renderToStaticMarkup(createElement(ReactPage, data[i]! as never)),
  };
  // Equal work means equal HTML, up to what each library escapes: nothing here differs.
  for (const [name, engine] of Object.entries(engines))
    for (const i of [0, 1, 7, PAGES - 1])
      if (engine(i) !== engines['sormet write'](i))
        throw new Error(
          `${name} gives other HTML for page ${i}:\n${engine(i)}\n${engines['sormet write'](i)}`,
        );

  let length = 0;
  const all = Object.entries(engines).map(([name, engine]) => ({
    name,
    round: () => {
      for (let i = 0; i < PAGES; i += 1) length += engine(i).length;
    },
  }));
  const times = measure([
    ...all,
    { name: 'link', round: () => void new Linker().link(documents, page) },
    { name: 'prepare', round: () => void prepare(linked, published) },
    {
      name: 'build',
      round: () => {
        for (let i = 0; i < 100; i += 1)
          length += build(linked, published, entries[i]).root ? 1 : 0;
      },
    },
  ]);
  const own = times.get('sormet write')!;
  const perSecond = (ms: number) =>
    `${Math.round((PAGES / ms) * 1000).toLocaleString('en')} pages/s`;
  const aims: Record<string, string> = { eta: 'at least 2', 'react-dom/server': 'at least 5' };
  if (length === 0) throw new Error('Nothing was written.');
  return {
    name: 'render',
    about: `${PAGES} pages of nav, intro with rich text, ${CARDS} cards with a nested button, a condition and a class by an axis, footer (${engines.eta(0).length} characters); the others are handed their cards, sormet looks them up`,
    rows: [
      ...Object.keys(engines).map((name) => ({
        what: name === 'sormet write' ? 'write' : `write, times ${name}`,
        figure: perSecond(times.get(name)!),
        ratio: rounded(times.get(name)! / own),
        reference: name === 'sormet write' ? 'itself' : name,
        aim: aims[name] ?? '',
      })),
      {
        what: 'link',
        figure: `${times.get('link')!.toFixed(3)} ms`,
        ratio: rounded(times.get('link')! / (own / PAGES)),
        reference: 'writing one page',
        aim: '',
      },
      {
        what: 'prepare',
        figure: `${times.get('prepare')!.toFixed(3)} ms`,
        ratio: rounded(times.get('prepare')! / (own / PAGES)),
        reference: 'writing one page',
        aim: '',
      },
      {
        what: 'build',
        figure: perSecond(times.get('build')! * 10),
        ratio: rounded((times.get('build')! * 10) / own),
        reference: 'writing',
        aim: '',
      },
    ],
  };
}
