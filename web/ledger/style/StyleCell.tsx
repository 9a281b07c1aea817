import { useState, type ReactNode } from 'react';
import { Bookmark } from 'lucide-react';
import type { Ground } from '@sormet/core/edit';
import { newId, own } from '@sormet/core/model';
import { declarationKey } from '@sormet/core/style';
import { ruleKey } from '../../canvas/rule-key';
import { IconButton } from '../../parts/IconButton';
import { UnitMenu } from '../../parts/UnitMenu';
import { useDraft } from '../../parts/use-draft';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { useSayLost } from '../../values/use-say-lost';
import { SaidByVariant } from '../AtBase';
import { cellValue, groundWords, isColour, type CellPlace } from './cell-value';
import { ColourCell } from './ColourCell';
import { InVain } from './InVain';
import { useOffer } from './Offers';
import { OtherRule } from './OtherRule';
import { DIFFERS, IN_PART, ownValue } from './own-value';
import { Pictured } from './pictured/Pictured';
import { longhandsOfRow } from './rows';
import type { RuleWords } from './rule-words';
import { SaveAsToken } from './SaveAsToken';
import { stateWord } from './states';
import { StyleField } from './StyleField';
import { useGiving } from './use-giving';
import { Wrong } from '../../parts/Wrong';

interface StyleCellProps extends CellPlace {
  readonly words: RuleWords;
  readonly onLight: (key: string) => void;
}

/** What nobody can type: stored where several things hold different values. */
const MIXED = '\u0000';

/** What a rule declares for a property at a width, else what shows there and which rule says so. */
export function StyleCell({ words, onLight, ...place }: StyleCellProps): ReactNode {
  const { selected, rule, property, width, state } = place;
  const { documents } = useDerived();
  const { tokens } = documents.tokens;
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [saving, setSaving] = useState(false);
  const [here, setHere] = useState(false);
  const offer = useOffer();
  const value = cellValue(place, documents);
  const { stored, elsewhere, loses, literal, ground, said } = value;
  const { origin } = rule;
  const giveOf = useGiving(place);
  const give = (typed: string) => giveOf(property, typed);
  const sayLost = useSayLost();
  const { draft, wrong, type, commit, drop } = useDraft(
    `${ruleKey(origin)} ${property} ${width} ${state ?? ''}`,
    // Where what is selected differs, typing what the first of it has is typing something else for the others.
    value.isMixed ? MIXED : (stored ?? ''),
    give,
    sayLost,
  );
  const max = own(documents.site.widths, width)?.max;
  const label = `${property}, ${width === 'base' ? 'base' : `${max} and below`}${state ? `, ${stateWord(state)}` : ''}`;
  const [longhand] = longhandsOfRow(property);
  const choose = (chosen: string) => {
    // Pinned is only what does not stand in the flow: both are one step to take back.
    const flows = property === 'inset' && !/^(absolute|fixed|sticky)$/.test(said('position') ?? '');
    const group = `by a picture ${newId()}`;
    const reason =
      giveOf(property, chosen, group) || (flows && giveOf('position', 'absolute', group));
    if (reason) dispatch(benchActions.notice(reason));
  };
  const giveGround = (next: Ground | null) => {
    if (origin.is !== 'node' && origin.is !== 'rule') return;
    const nodes = selected.all.includes(origin.node) ? [...selected.all] : [origin.node];
    // The rule of the variant that is lit is made with the first thing that it says.
    const isLit = origin.is === 'node' || origin.rule === selected.picked?.rule;
    const by = isLit ? {} : { rule: origin.rule };
    sync.edit({ name: 'setGround', args: { doc: origin.doc, nodes, width, ground: next, ...by } });
  };
  const takesGround =
    property === 'background-image' && (origin.is === 'node' || origin.is === 'rule') && !state;
  const isQuiet = here && draft === null && !loses;
  const isWord = stored === IN_PART || stored === DIFFERS;
  const shown =
    value.isMixed || isWord ? '' : ground ? groundWords(ground, documents) : (stored ?? '');
  const quiet = value.isMixed
    ? 'mixed'
    : ((isWord ? stored : (elsewhere?.text ?? value.fromWider)) ?? '');
  return (
    <td
      className={`cell style ${stored !== undefined ? 'wins' : ''} ${value.base !== undefined ? 'is-varied' : ''} ${wrong ? 'is-wrong' : ''}`}
      onFocus={() => {
        setHere(true);
        offer(property);
      }}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setHere(false);
      }}
    >
      <span className="style-cell">
        {isColour(property) && (value.colour || here) ? (
          <ColourCell
            label={label}
            colour={value.colour}
            token={stored}
            property={property}
            selected={selected}
            onPick={(typed, group) => giveOf(property, typed, group)}
          />
        ) : null}
        <StyleField
          label={label}
          text={draft ?? shown}
          tokens={tokens}
          stepsFrom={{
            text: draft ?? (isWord ? '' : (stored ?? elsewhere?.text ?? value.fromWider ?? '')),
            byCursor: draft !== null || stored !== undefined,
          }}
          // A picture behind is chosen by its own editor, beside.
          readOnly={ground !== undefined}
          placeholder={quiet}
          // What is said at a wider width stands there whole: here it may be cut.
          isRepeated={value.fromWider !== undefined}
          isWrong={wrong !== ''}
          onType={type}
          onCommit={commit}
          onDrop={drop}
        />
        <Pictured
          cell={{
            property,
            label,
            here,
            shown: stored ?? elsewhere?.text,
            valueOf: (of) => ownValue(rule, of, width, state, tokens),
            downwards: (said('flex-direction') ?? '').startsWith('column'),
            give: giveOf,
            choose,
            ...(takesGround ? { ground: { now: ground, give: giveGround } } : {}),
          }}
        />
        {stored && draft === null ? (
          <UnitMenu
            here={isQuiet}
            label={label}
            css={stored}
            width={width === 'base' ? undefined : max}
            onChoose={(css) => give(css)}
          />
        ) : null}
        {isQuiet && literal ? (
          <IconButton
            icon={Bookmark}
            name={`${label}: save as a token`}
            title="Save as a token"
            onPress={() => setSaving(true)}
          />
        ) : null}
        {value.base !== undefined && draft === null ? (
          <SaidByVariant
            what={label}
            base={value.base}
            onBack={() => {
              const reason = give('');
              if (reason) dispatch(benchActions.notice(reason));
            }}
          />
        ) : null}
        {draft === null && !(elsewhere && here) ? (
          <OtherRule value={value} state={state} words={words} onLight={onLight} />
        ) : null}
      </span>
      <Wrong words={wrong} />
      {value.inVain && draft === null ? (
        <InVain
          of={value.inVain}
          label={label}
          onMend={(of, css) => {
            const reason = giveOf(of, css);
            if (reason) dispatch(benchActions.notice(reason));
          }}
        />
      ) : null}
      {saving && literal ? (
        <SaveAsToken
          property={longhand!}
          css={literal.css}
          place={{ rule, key: declarationKey(longhand!, width, state) }}
          onClose={() => setSaving(false)}
        />
      ) : null}
    </td>
  );
}
