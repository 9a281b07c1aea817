import { useRef, useState, type ReactNode } from 'react';
import { AutoComplete, Input } from 'antd';
import { docOf, own, treeDocOf, type Declared, type TreeDoc } from '@sormet/core/model';
import {
  cascade,
  declarationKey,
  declaredProperties,
  expand,
  longhandsOf,
  together,
  widthsOf,
  type Origin,
  type AppliedBlock,
  type Width,
} from '@sormet/core/style';
import { isRefusal, runEdit, type NamedEdit } from '@sormet/core/edit';
import { useApp, useAppDispatch } from '../../store/store';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import type { Selected } from '../use-selected';
import { useDraft } from '../../values/use-draft';
import { componentWords } from '../words';

/** The rows of the style ledger that are there before anything is declared, by group. */
const ROWS: readonly { group: string; properties: readonly string[] }[] = [
  {
    group: 'Flow',
    properties: [
      'display',
      'flex-direction',
      'grid-template-columns',
      'align-items',
      'justify-content',
      'gap',
      'order',
    ],
  },
  {
    group: 'Box',
    properties: [
      'padding',
      'margin',
      'width',
      'max-width',
      'min-height',
      'border',
      'border-radius',
    ],
  },
  {
    group: 'Text',
    properties: ['font-family', 'font-size', 'font-weight', 'line-height', 'text-align', 'color'],
  },
  { group: 'Paint', properties: ['background-color', 'opacity'] },
];
const KNOWN = new Set(
  ROWS.flatMap(({ properties }) => properties.flatMap((p) => longhandsOf(p) ?? [p])),
);

/** A rule's key in the chain. */
export function ruleKey(origin: Origin): string {
  switch (origin.is) {
    case 'tag':
      return `tag ${origin.tag}`;
    case 'node':
      return `${origin.doc} ${origin.node}`;
    case 'shared':
      return `shared ${origin.doc}`;
    case 'rule':
      return `rule ${origin.doc} ${origin.rule} ${origin.node}`;
  }
}

/** The rule that typing goes to: the one that is lit, else the nearest to the page. */
export function litRule(selected: Selected, lit: string | null): AppliedBlock | undefined {
  return (
    selected.rules.find(({ origin }) => ruleKey(origin) === lit) ??
    // The nearest to the page that always holds: what a rule says holds only in some variants or states.
    selected.rules.filter(({ origin }) => origin.is !== 'rule').at(-1)
  );
}

/** What a rule is called in the chain: the tag, the definition, here. */
export function useRuleWords(
  selected: Selected | undefined,
): (origin: Origin) => { word: string; reach: number; unit: string } {
  const { documents, reach } = useDerived();
  return (origin) => {
    if (origin.is === 'tag') {
      let uses = 0;
      for (const doc of [...documents])
        if (doc.kind === 'page' || doc.kind === 'component')
          for (const node of Object.values(doc.nodes))
            if (node.kind === 'element' && node.tag === origin.tag) uses += 1;
      return { word: `${origin.tag} tag`, reach: uses, unit: 'element' };
    }
    if (origin.is === 'shared')
      return {
        word: docOf(documents, 'style', origin.doc)?.name ?? 'a style that is gone',
        reach: reach.usesOf(origin.doc).length,
        unit: 'element',
      };
    if (origin.doc === selected?.doc.id && selected.doc.kind === 'page')
      return { word: 'here', reach: 1, unit: 'place' };
    const doc = treeDocOf(documents, origin.doc);
    const places =
      doc?.kind === 'component'
        ? reach.answer(doc.id).instances.filter(({ kind }) => kind === 'places').length
        : 1;
    const own = origin.doc === selected?.doc.id;
    const definition = own
      ? 'this definition'
      : `definition of ${componentWords(documents, origin.doc)}`;
    return {
      word: origin.is === 'rule' ? `${definition} · ${ruleWords(doc, origin.rule)}` : definition,
      reach: places,
      unit: 'instance',
    };
  };
}

/** When a rule holds, in words: the options it asks for, and the state. */
function ruleWords(doc: TreeDoc | undefined, rule: string): string {
  const stored = doc?.kind === 'component' ? own(doc.rules, rule) : undefined;
  if (doc?.kind !== 'component' || !stored) return 'a rule that is gone';
  const options = Object.entries(stored.when.axes).map(([property, option]) => {
    const type = own(doc.properties, property)?.type;
    return (
      (type?.kind === 'choice' && own(type.options, option)?.label) || 'an option that is gone'
    );
  });
  return [...options, stored.when.pseudo?.is ?? ''].filter(Boolean).join(', ') || 'always';
}

/** The style of what is selected: a row for each declaration, a column for each width, the chain of rules above. */
export function StyleLedger({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { lit, width: current } = useApp((state) => state.bench);
  const site = documents.site;
  const widths = widthsOf(site);
  const words = useRuleWords(selected);
  const rule = litRule(selected, lit);
  const [added, setAdded] = useState<readonly string[]>([]);
  if (!rule)
    return (
      <p className="ledger-empty">
        What is selected has no style of its own. Select an element or an instance that is shown.
      </p>
    );
  const kindOf = (origin: Origin) =>
    origin.is === 'tag'
      ? 'tag'
      : origin.is === 'shared'
        ? 'tag'
        : origin.doc === selected.doc.id && selected.doc.kind === 'page'
          ? 'here'
          : 'definition';
  const others = [...declaredProperties(selected.rules), ...added].filter(
    (property) => !KNOWN.has(property),
  );
  const groups = [...ROWS, { group: 'More', properties: [...new Set(others)] }];
  return (
    <>
      <div className="ledger-actions chain" role="radiogroup" aria-label="Writing to">
        <span className="quiet">writing to</span>
        {selected.rules.map(({ origin }) => {
          const key = ruleKey(origin);
          const { word, reach } = words(origin);
          const isLit = origin === rule.origin;
          return (
            <button
              key={key}
              type="button"
              role="radio"
              aria-checked={isLit}
              className={`chain-link ${kindOf(origin)} ${isLit ? 'lit' : ''}`}
              onClick={() => dispatch(benchActions.light(key))}
            >
              {word} <span className="chain-reach">{reach}</span>
            </button>
          );
        })}
      </div>
      <table
        className="ledger-table style-ledger"
        aria-label="Style"
        data-lit={kindOf(rule.origin)}
      >
        <colgroup>
          <col style={{ width: 190 }} />
          {widths.map(({ id }) => (
            <col key={id} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th scope="col">Declaration</th>
            {widths.map(({ id, max }) => (
              <th key={id} scope="col" className={id === current ? 'current' : ''}>
                {id === 'base' ? 'Base' : `${max} and below`}
              </th>
            ))}
          </tr>
        </thead>
        {groups.map(({ group, properties }) =>
          properties.length === 0 ? null : (
            <tbody key={group}>
              <tr className="ledger-group">
                <th colSpan={widths.length + 1} scope="colgroup">
                  {group}
                </th>
              </tr>
              {properties.map((property) => (
                <tr key={property}>
                  <th scope="row">
                    <code>{property}</code>
                  </th>
                  {widths.map(({ id }) => (
                    <StyleCell
                      key={id}
                      selected={selected}
                      rule={rule}
                      property={property}
                      width={id}
                      words={words}
                    />
                  ))}
                </tr>
              ))}
            </tbody>
          ),
        )}
        <tbody>
          <tr>
            <th scope="row">
              <AddDeclaration onAdd={(property) => setAdded([...added, property])} />
            </th>
            <td colSpan={widths.length} />
          </tr>
        </tbody>
      </table>
    </>
  );
}

function AddDeclaration({ onAdd }: { onAdd: (property: string) => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  /** Whether what is typed was dropped: the field tells of it once more when it loses the focus. */
  const dropped = useRef(false);
  const add = (name: string) => {
    if (dropped.current) return setTyped('');
    const property = name.trim().toLowerCase();
    if (property === '') return;
    const tried = expand(property, 'inherit');
    if (!tried.ok && tried.reason.startsWith('There is no property')) return setWrong(tried.reason);
    setTyped('');
    setWrong('');
    onAdd(property);
  };
  return (
    <span
      onKeyDownCapture={({ key }) => {
        dropped.current = key === 'Escape';
        if (!dropped.current) return;
        setTyped('');
        setWrong('');
      }}
    >
      <AutoComplete
        size="small"
        variant="borderless"
        value={typed}
        aria-label="Add a declaration"
        placeholder="add a declaration"
        onChange={setTyped}
        onKeyDown={(event) => {
          if (event.key === 'Enter') add(typed);
        }}
        onBlur={() => add(typed)}
      />
      {wrong ? (
        <span className="cell-error" role="alert">
          {wrong}
        </span>
      ) : null}
    </span>
  );
}

/** What a rule itself declares for a property, shorthand or not, at one width. */
function ownValue(rule: AppliedBlock, property: string, width: Width): string | undefined {
  const at = (name: string) => own<Declared>(rule.block, declarationKey(name, width))?.css;
  const longhands = longhandsOf(property);
  if (!longhands) return at(property);
  const values = longhands.map(at);
  if (values.every((value) => value === undefined)) return undefined;
  return joined(property, values);
}

/** Longhand values as one shorthand; where some are missing, what is there with gaps shown. */
function joined(property: string, values: readonly (string | undefined)[]): string {
  if (property === 'border') {
    const [width, style, color] = values;
    const uniform = values.every((value, i) => value === values[i % 3]);
    return uniform && width && style && color ? `${width} ${style} ${color}` : 'differs by side';
  }
  return together(values) ?? values.map((value) => value ?? '–').join(' ');
}

function StyleCell({
  selected,
  rule,
  property,
  width,
  words,
}: {
  selected: Selected;
  rule: AppliedBlock;
  property: string;
  width: Width;
  words: ReturnType<typeof useRuleWords>;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const site = documents.site;
  const own = ownValue(rule, property, width);
  const { origin } = rule;
  const target = `${ruleKey(origin)} ${property} ${width}`;
  const { draft, wrong, type, commit, drop } = useDraft(
    target,
    own ?? '',
    (css) => {
      const edit = declaring(origin, property, width, css);
      const tried = runEdit(documents, edit);
      if (isRefusal(tried)) return tried.refused;
      sync.edit(edit);
      return '';
    },
    (css, reason) => dispatch(benchActions.notice(`“${css}” was not kept. ${reason}`)),
  );
  const names = longhandsOf(property) ?? [property];
  const applied = names.map((name) => cascade(selected.rules, name, width, site)[0]);
  const winner = applied.find(Boolean);
  const elsewhere =
    own === undefined && winner && winner.width === width
      ? {
          css: joinedApplied(
            property,
            applied.map((each) => each?.declared.css),
          ),
          origin: winner.origin,
        }
      : undefined;
  const loses =
    own !== undefined && winner && ruleKey(winner.origin) !== ruleKey(rule.origin)
      ? winner.origin
      : undefined;

  const color = own ?? elsewhere?.css;
  const swatch =
    /color$/.test(property) && color && /^(#|rgb|hsl|[a-z]+$)/.test(color) ? color : undefined;
  return (
    <td className={`cell style ${own !== undefined ? 'wins' : ''} ${wrong ? 'is-wrong' : ''}`}>
      <span className="style-cell">
        {swatch && draft === null ? (
          <span className="swatch" style={{ background: swatch }} aria-hidden />
        ) : null}
        <Input
          size="small"
          variant="borderless"
          aria-label={`${property}, ${width === 'base' ? 'base' : `${site.widths[width]?.max} and below`}`}
          value={draft ?? own ?? ''}
          placeholder={elsewhere?.css ?? ''}
          status={wrong ? 'error' : ''}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') drop();
          }}
        />
        {elsewhere && draft === null ? (
          <span className="origin">{words(elsewhere.origin).word}</span>
        ) : null}
        {loses && draft === null ? (
          <span className="origin loses">loses to {words(loses).word}</span>
        ) : null}
      </span>
      {wrong ? (
        <span className="cell-error" role="alert">
          {wrong}
        </span>
      ) : null}
    </td>
  );
}

/** The edit that declares a property in a rule at a width; an empty value takes it back. */
function declaring(origin: Origin, property: string, width: Width, typed: string): NamedEdit {
  const css = typed === '' ? null : typed;
  switch (origin.is) {
    case 'tag':
      return { name: 'declareTag', args: { tag: origin.tag, property, width, css } };
    case 'node':
      return {
        name: 'declare',
        args: { doc: origin.doc, node: origin.node, property, width, css },
      };
    case 'shared':
      return { name: 'declareShared', args: { style: origin.doc, property, width, css } };
    case 'rule': {
      const { doc: component, rule, node } = origin;
      return { name: 'declareRule', args: { component, rule, node, property, width, css } };
    }
  }
}

function joinedApplied(property: string, values: readonly (string | undefined)[]): string {
  return values.length === 1 ? (values[0] ?? '') : joined(property, values);
}
