import { useDeferredValue, useMemo, useRef, useState, type ReactNode } from 'react';
import { Dialog } from '../../parts/Dialog';
import { SuggestField } from '../../parts/SuggestField';
import { nodeIn, treeDocOf, type Documents } from '@sormet/core/model';
import { limitsWhat, nodeName } from '@sormet/core/edit';
import { fitsSlot, reasonAgainst } from '../../canvas/placing';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type Selection } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { nextPlace, placesFor, slotSelected, type Places } from './places';
import { ranked } from './ranking';
import { recentChoices, rememberChoice } from '../../store/recent';
import { useChoices, type Choice } from './use-choices';
import './GoLine.css';

interface GoAction {
  readonly label: string;
  readonly key: string;
  readonly run: () => void;
}

/** One line to type into: place a thing, go to a page, an entry, a definition or a screen, do something. */
export function GoLine({ doc, actions }: { doc: string; actions: readonly GoAction[] }): ReactNode {
  const dispatch = useAppDispatch();
  const open = useApp((state) => state.bench.goLine);
  /** What was chosen: done when the line is closed, so that the cursor can go where the action puts it. */
  const next = useRef<(() => void) | null>(null);
  const close = () => dispatch(benchActions.showGoLine(false));
  return (
    <Dialog
      open={open}
      onCancel={close}
      afterClose={() => {
        next.current?.();
        next.current = null;
      }}
      focusable={NOT_BACK}
      footer={null}
      closable={false}
      destroyOnHidden
      width={560}
      title={null}
      className="go-line"
    >
      <GoField
        doc={doc}
        actions={actions}
        onChoose={(run) => {
          next.current = run;
          close();
        }}
      />
    </Dialog>
  );
}

/** Where the focus goes when the line is closed, is for what was chosen to say. */
const NOT_BACK = { focusTriggerAfterClose: false };

/** What is typed into the line. Apart from its dialog, which would be drawn again for each key. */
function GoField({
  doc,
  actions,
  onChoose,
}: {
  doc: string;
  actions: readonly GoAction[];
  onChoose: (run: () => void) => void;
}): ReactNode {
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const [typed, setTyped] = useState('');
  /** Which place was asked for with Tab; `null` for the first where it may stand. */
  const [asked, setAsked] = useState<number | null>(null);
  const choices = useChoices(doc, actions);
  const [recent] = useState(recentChoices);
  // The list follows what is typed when there is time: drawn for each key, it would hold up those that come next.
  const followed = useDeferredValue(typed);
  const slot = slotSelected(documents, doc, selection);
  const refused = useMemo(() => {
    const found = new Set<Choice>();
    if (slot && limitsWhat(slot))
      for (const choice of choices)
        if (choice.placeable && !fitsSlot(documents, slot, choice.placeable)) found.add(choice);
    return found;
  }, [documents, choices, slot]);
  // What the slot lets in stands before what it does not.
  const fitting = useMemo(() => {
    const all = ranked(choices, followed, recent);
    return refused.size === 0
      ? all
      : [...all].sort((a, b) => Number(refused.has(a)) - Number(refused.has(b)));
  }, [choices, followed, recent, refused]);
  const suggestions = useMemo(
    () =>
      fitting.map((choice) => ({
        value: choice.value,
        label: labelOf(choice, refused.has(choice) ? `not in the slot ${slot!.label}` : undefined),
      })),
    [fitting, refused, slot],
  );
  const placeable = fitting[0]?.placeable;
  const places = useMemo(
    () => placesFor(documents, doc, selection, placeable),
    [documents, doc, selection, placeable],
  );
  const placesNow = placeable !== undefined;
  const against = useMemo(
    () =>
      placeable ? places.map(({ place }) => reasonAgainst(documents, doc, placeable, place)) : [],
    [documents, doc, placeable, places],
  );
  const may = Math.max(0, against.indexOf(undefined));
  const turn = places.length === 0 ? 0 : (asked ?? may) % places.length;
  const choose = (choice: Choice | undefined) => {
    if (!choice) return;
    rememberChoice(choice.value);
    // What was walked to may go elsewhere than what fits best.
    const elsewhere = choice.placeable && choice !== fitting[0] && asked === null;
    const at = elsewhere
      ? nextPlace(documents, doc, selection, choice.placeable!)
      : places[turn]?.place;
    onChoose(() => choice.run(at));
  };
  /** Does what fits best what is typed, where the list has not followed yet. */
  const chooseUnseen = () => {
    const [best] = ranked(choices, typed, recent);
    const where = best?.placeable && nextPlace(documents, doc, selection, best.placeable);
    if (!best) return;
    rememberChoice(best.value);
    onChoose(() => best.run(asked === null ? where : places[turn]?.place));
  };
  return (
    <>
      <p id="go-place" className="go-place" role="status">
        {placesNow && places[turn] ? (
          <PlaceWords
            documents={documents}
            doc={doc}
            selection={selection}
            places={places}
            against={against}
            turn={turn}
          />
        ) : (
          'Enter does it; small typing errors are forgiven.'
        )}
      </p>
      <div
        // Before the field hears of it: there Tab would lead on.
        onKeyDownCapture={(event) => {
          if (event.key === 'Enter' && followed !== typed) {
            event.preventDefault();
            event.stopPropagation();
            return chooseUnseen();
          }
          if (event.key !== 'Tab' || event.shiftKey) return;
          event.preventDefault();
          event.stopPropagation();
          if (placesNow) setAsked(turn + 1);
        }}
      >
        <SuggestField
          autoFocus
          firstActive
          alwaysOpen
          label="Go line: place, go, do"
          aria-describedby="go-place"
          placeholder="place, go, do"
          className="go-input"
          value={typed}
          suggestions={suggestions}
          nothing="Nothing is called so."
          onType={(words) => {
            setTyped(words);
            setAsked(null);
          }}
          onChoose={(value) => choose(choices.find((each) => each.value === value))}
        />
      </div>
    </>
  );
}

/** @param against why it may not stand where it would */
function labelOf({ verb, name, note }: Choice, against?: string): ReactNode {
  return (
    <span className={against ? 'go-option is-refused' : 'go-option'}>
      <span className="go-verb">{verb}</span>
      <span>{name}</span>
      <span className="go-note">{against ?? note}</span>
    </span>
  );
}

/** Where what is placed would go, and how to have it elsewhere. */
function PlaceWords({
  documents,
  doc,
  selection,
  places,
  against,
  turn,
}: {
  documents: Documents;
  doc: string;
  selection: Selection | null;
  places: Places;
  /** Why it may not stand at each of them. */
  against: readonly (string | undefined)[];
  turn: number;
}): ReactNode {
  const selected = selection?.doc === doc ? selection.nodes[0] : undefined;
  const node = selected === undefined ? undefined : nodeIn(documents, doc, selected);
  const name = node ? nodeName(documents, node, treeDocOf(documents, doc)) : 'the page';
  const reason = against[turn] ?? against.find(Boolean);
  return (
    <>
      {places.map(({ where }, i) => (
        <span
          key={where}
          className={`go-where ${i === turn ? 'chosen' : ''} ${against[i] ? 'not' : ''}`}
        >
          {i === turn ? `${where} ${name}` : where}
        </span>
      ))}
      {places.length > 1 ? (
        <span className="quiet">
          <kbd>Tab</kbd> changes it
        </span>
      ) : null}
      {reason ? (
        <span className="go-reason">
          {against[turn] ? '' : `Not ${places[against.findIndex(Boolean)]!.where}: `}
          {reason}
          {against[turn] && against.includes(undefined)
            ? ` It may stand ${places
                .filter((_, i) => !against[i])
                .map(({ where }) => where)
                .join(' or ')}.`
            : ''}
        </span>
      ) : null}
    </>
  );
}
