import { useMemo, useRef, useState, type ReactNode } from 'react';
import { AutoComplete } from 'antd';
import { Dialog } from '../../site/Dialog';
import { nodeIn, treeDocOf, type Documents } from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { reasonAgainst } from '../../canvas/placing';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type Selection } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { placesFor, type Places } from './places';
import { ranked } from './ranking';
import { recentChoices, rememberChoice } from '../../store/recent';
import { useChoices, type Choice } from './use-choices';
import './GoLine.css';

/** One line to type into: place a thing, go to a page, an entry, a definition or a screen, do something. */
export function GoLine({
  doc,
  actions,
}: {
  doc: string;
  actions: readonly { label: string; key: string; run: () => void }[];
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { goLine, selection } = useApp((state) => state.bench);
  const [typed, setTyped] = useState('');
  /** Which place was asked for with Tab; `null` for the first where it may stand. */
  const [asked, setAsked] = useState<number | null>(null);
  /** What was chosen: done when the line is closed, so that the cursor can go where the action puts it. */
  const next = useRef<(() => void) | null>(null);
  const choices = useChoices(goLine, doc, actions);
  const recent = useMemo(() => (goLine ? recentChoices() : []), [goLine]);
  const fitting = useMemo(() => ranked(choices, typed, recent), [choices, typed, recent]);
  const places = useMemo(
    () => (goLine ? placesFor(documents, doc, selection) : []),
    [goLine, documents, doc, selection],
  );
  const placeable = fitting[0]?.placeable;
  const placesNow = placeable !== undefined;
  const against = useMemo(
    () =>
      placeable ? places.map(({ place }) => reasonAgainst(documents, doc, placeable, place)) : [],
    [documents, doc, placeable, places],
  );
  const may = Math.max(0, against.indexOf(undefined));
  const turn = places.length === 0 ? 0 : (asked ?? may) % places.length;
  const place = places[turn];
  const close = () => {
    dispatch(benchActions.showGoLine(false));
    setTyped('');
    setAsked(null);
  };
  const choose = (value: string) => {
    const choice = choices.find((each) => each.value === value);
    if (!choice) return;
    rememberChoice(value);
    next.current = () => choice.run(place?.place);
    close();
  };
  return (
    <Dialog
      open={goLine}
      onCancel={close}
      afterClose={() => {
        next.current?.();
        next.current = null;
      }}
      focusable={{ focusTriggerAfterClose: false }}
      footer={null}
      closable={false}
      destroyOnHidden
      width={560}
      title={null}
      className="go-line"
    >
      <p id="go-place" className="go-place" role="status">
        {placesNow && place ? (
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
        // Before the field hears of it: there Tab takes the first of the list.
        onKeyDownCapture={(event) => {
          if (event.key !== 'Tab' || event.shiftKey) return;
          event.preventDefault();
          event.stopPropagation();
          if (placesNow) setAsked(turn + 1);
        }}
      >
        <AutoComplete
          autoFocus
          defaultActiveFirstOption
          open
          value={typed}
          aria-label="Go line: place, go, do"
          aria-describedby="go-place"
          placeholder="place, go, do"
          options={fitting.map((choice) => ({ value: choice.value, label: labelOf(choice) }))}
          className="go-input"
          onChange={(words: string) => {
            setTyped(words);
            setAsked(null);
          }}
          onSelect={choose}
          onKeyDown={(event) => {
            if (event.key === 'Escape') close();
          }}
          listHeight={360}
        />
      </div>
    </Dialog>
  );
}

function labelOf({ verb, name, note }: Choice): ReactNode {
  return (
    <span className="go-option">
      <span className="go-verb">{verb}</span>
      <span>{name}</span>
      <span className="go-note">{note}</span>
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
