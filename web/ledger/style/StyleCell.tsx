import { useRef, useState, type ReactNode } from 'react';
import { Bookmark } from 'lucide-react';
import { themeAt } from '@sormet/core/check';
import { groundOf, isRefusal, runEdit, type Ground } from '@sormet/core/edit';
import {
  newId,
  nodeIn,
  own as ownMember,
  type Declared,
  type Documents,
  type State,
  type Typed,
} from '@sormet/core/model';
import {
  cascade,
  declarationKey,
  filled,
  inOtherUnit,
  readValue,
  stepped,
  type AppliedBlock,
  type Width,
} from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { useDraft } from '../../parts/use-draft';
import { valueWords } from '../../words';
import { ruleKey } from '../../canvas/rule-key';
import type { Selected } from '../use-selected';
import { IconButton } from '../../parts/IconButton';
import { ColourCell } from './ColourCell';
import { declaring } from './declaring';
import { Pictured } from './pictured/Pictured';
import { OFFERS, useOffer } from './Offers';
import { joined, ownValue } from './own-value';
import { longhandsOfRow } from './rows';
import type { RuleWords } from './rule-words';
import { SaveAsToken } from './SaveAsToken';
import { stateWord } from './states';

interface StyleCellProps {
  readonly selected: Selected;
  readonly rule: AppliedBlock;
  readonly property: string;
  readonly width: Width;
  readonly state: State | undefined;
  readonly words: RuleWords;
  readonly onLight: (key: string) => void;
}

/** By how much an arrow key steps a number (Shift: ten, Alt: a tenth). */
function stepOf({ key, shiftKey, altKey }: React.KeyboardEvent): number {
  const by = shiftKey ? 10 : altKey ? 0.1 : 1;
  return key === 'ArrowUp' ? by : -by;
}

/** What nobody can type: stored where several things hold different values. */
const MIXED = '\u0000';

/** What a rule declares for a property at a width, else what shows there and which rule says so. */
export function StyleCell(props: StyleCellProps): ReactNode {
  const { selected, rule, property, width, state, words, onLight } = props;
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { site } = documents;
  const { tokens } = documents.tokens;
  const [saving, setSaving] = useState(false);
  const [here, setHere] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const offer = useOffer();
  const stored = ownValue(rule, property, width, state, tokens);
  const { origin } = rule;
  const mixed = isMixed(props, documents);
  const target = { origin, width, state, nodes: selected.all };
  const giveOf = (of: string, typed: string, group?: string): string => {
    const read = typed === '' ? undefined : readValue(of, typed, tokens);
    if (read && !read.ok) return read.reason;
    const edit = declaring(target, of, read ?? { css: null });
    if (!edit) return '';
    const tried = runEdit(documents, edit);
    if (isRefusal(tried)) return tried.refused;
    sync.edit(edit, group === undefined ? undefined : { group });
    return '';
  };
  const give = (typed: string) => giveOf(property, typed);
  const { draft, wrong, type, commit, drop } = useDraft(
    `${ruleKey(origin)} ${property} ${width} ${state ?? ''}`,
    // Where what is selected differs, typing what the first of it has is typing something else for the others.
    mixed ? MIXED : (stored ?? ''),
    give,
    (css, reason) => dispatch(benchActions.notice(`“${css}” was not kept. ${reason}`)),
  );
  const names = longhandsOfRow(property);
  const states = state ? [state] : [];
  const applied = names.map((name) => cascade(selected.rules, name, width, site, states)[0]);
  const winner = applied.find(Boolean);
  const holdsHere = winner?.width === width;
  const elsewhere =
    stored === undefined && winner && holdsHere
      ? {
          text: joined(
            property,
            applied.map((each) => each?.declared),
            tokens,
          ),
          origin: winner.origin,
        }
      : undefined;
  const loses =
    stored !== undefined && winner && ruleKey(winner.origin) !== ruleKey(origin)
      ? winner.origin
      : undefined;
  const isColour = /(^|-)color$/.test(property);
  const declared = holdsHere || stored !== undefined ? winner?.declared : undefined;
  const swatch =
    isColour && declared ? filled(declared, tokens, valuesIn(selected, documents)) : undefined;
  const max = ownMember(site.widths, width)?.max;
  const label = `${property}, ${width === 'base' ? 'base' : `${max} and below`}${state ? `, ${stateWord(state)}` : ''}`;
  const literal = names
    .map((name) => ownMember(rule.block, declarationKey(name, width, state)))
    .find((each) => each && !each.refs);
  const said = (name: string) =>
    cascade(selected.rules, name, width, site, states)[0]?.declared.css;
  const ground =
    property === 'background-image'
      ? groundOf(ownMember(rule.block, declarationKey(property, width, state)))
      : undefined;
  const choose = (value: string) => {
    // Pinned is only what does not stand in the flow: both are one step to take back.
    const flows = property === 'inset' && !/^(absolute|fixed|sticky)$/.test(said('position') ?? '');
    const group = `by a picture ${newId()}`;
    const reason =
      giveOf(property, value, group) || (flows && giveOf('position', 'absolute', group));
    if (reason) dispatch(benchActions.notice(reason));
  };
  const quietHere = here && draft === null && !loses;
  const other = quietHere && stored ? inOtherUnit(stored) : undefined;
  return (
    <td
      className={`cell style ${stored !== undefined ? 'wins' : ''} ${wrong ? 'is-wrong' : ''}`}
      onFocus={() => {
        setHere(true);
        offer(property);
      }}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setHere(false);
      }}
    >
      <span className="style-cell">
        {isColour && (swatch || here) ? (
          <ColourCell
            label={label}
            colour={swatch}
            property={property}
            selected={selected}
            onPick={(css) => {
              const reason = give(css);
              if (reason) dispatch(benchActions.notice(reason));
            }}
          />
        ) : null}
        <input
          ref={field}
          className="plain-field"
          aria-label={label}
          list={OFFERS}
          value={draft ?? (mixed ? '' : ground ? groundWords(ground, documents) : (stored ?? ''))}
          // A picture behind is chosen by its own editor, beside.
          readOnly={ground !== undefined}
          placeholder={mixed ? 'mixed' : (elsewhere?.text ?? '')}
          aria-invalid={wrong !== ''}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') drop();
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            const text = draft ?? stored ?? elsewhere?.text ?? '';
            const at = event.currentTarget.selectionStart ?? text.length;
            const next = stepped(
              text,
              draft === null && stored === undefined ? 0 : at,
              stepOf(event),
            );
            if (!next) return;
            event.preventDefault();
            type(next.text);
            requestAnimationFrame(() => field.current?.setSelectionRange(next.at, next.at));
          }}
        />
        <Pictured
          cell={{
            property,
            label,
            here,
            shown: stored ?? elsewhere?.text,
            valueOf: (longhand) => ownValue(rule, longhand, width, state, tokens),
            downwards: (said('flex-direction') ?? '').startsWith('column'),
            give: giveOf,
            choose,
            ...(property === 'background-image' && origin.is === 'node' && !state
              ? {
                  ground: {
                    now: ground,
                    give: (next: Ground | null) => {
                      const nodes = selected.all.includes(origin.node)
                        ? [...selected.all]
                        : [origin.node];
                      sync.edit({
                        name: 'setGround',
                        args: { doc: origin.doc, nodes, width, ground: next },
                      });
                    },
                  },
                }
              : {}),
          }}
        />
        {other ? (
          <button
            type="button"
            className="other-unit"
            aria-label={`${label}: write ${other}`}
            title={`The same at the size of the root: write ${other}`}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => give(other)}
          >
            = {other}
          </button>
        ) : null}
        {quietHere && literal ? (
          <IconButton
            icon={Bookmark}
            name={`${label}: save as a token`}
            title="Save as a token"
            onPress={() => setSaving(true)}
          />
        ) : null}
        {elsewhere && draft === null && !here ? (
          <span className="origin" title={words.word(elsewhere.origin)}>
            {state && winner?.state === undefined ? 'rest' : words.short(elsewhere.origin)}
          </span>
        ) : null}
        {loses && draft === null ? (
          <button
            type="button"
            className="origin loses"
            title={`${words.word(loses)} says otherwise, and is the stronger`}
            onClick={() => onLight(ruleKey(loses))}
          >
            loses to {words.short(loses)}
          </button>
        ) : null}
      </span>
      {wrong ? (
        <span className="cell-error" role="alert">
          {wrong}
        </span>
      ) : null}
      {saving && literal ? (
        <SaveAsToken
          property={names[0]!}
          css={literal.css}
          place={{ rule, key: declarationKey(names[0]!, width, state) }}
          onClose={() => setSaving(false)}
        />
      ) : null}
    </td>
  );
}

/** The picture behind in words: what gives it, and that a veil lies over it. */
function groundWords({ source, veil }: Ground, documents: Documents): string {
  const what =
    source.is === 'value'
      ? valueWords(documents, source as Typed)
      : source.is === 'property'
        ? 'a property’s picture'
        : 'a picture of content';
  return veil === null ? what : `${what}, under a veil`;
}

/** What the theme in which an element stands makes of tokens: the nearest that begins at it, or around it. */
function valuesIn({ built, element }: Selected, documents: Documents): Record<string, Declared> {
  const theme = built && element ? themeAt(documents, built, element) : undefined;
  return (theme === undefined ? undefined : documents.tokens.themes?.[theme]?.values) ?? {};
}

/** Whether the things that are selected, and written together, declare something different. */
function isMixed(
  { selected, rule: { origin }, property, width, state }: StyleCellProps,
  documents: ReturnType<typeof useDerived>['documents'],
): boolean {
  if (selected.count < 2 || origin.is !== 'node' || !selected.all.includes(origin.node))
    return false;
  const values = selected.all.map((id) => {
    const node = nodeIn(documents, selected.doc.id, id);
    const block = node?.kind === 'element' || node?.kind === 'instance' ? node.style : {};
    return longhandsOfRow(property)
      .map((name) => ownMember(block, declarationKey(name, width, state))?.css ?? '')
      .join(' ');
  });
  return new Set(values).size > 1;
}
