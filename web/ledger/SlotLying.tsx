import type { ReactNode } from 'react';
import { newId, own, type NodeId } from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { readValue } from '@sormet/core/style';
import { Ways, type Way } from '../parts/Ways';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import type { Selected } from './use-selected';

type Lying = Way & { readonly says: Readonly<Record<string, string>> };

/** How things in a slot lie, each as what the element around it declares (CSS Flexible Box Layout 1, CSS Grid Layout 2). */
const WAYS: readonly Lying[] = [
  {
    word: 'one below the other',
    value: 'column',
    says: { display: 'flex', 'flex-direction': 'column' },
  },
  {
    word: 'side by side, on as many lines as it takes',
    value: 'row',
    says: { display: 'flex', 'flex-direction': 'row', 'flex-wrap': 'wrap' },
  },
  {
    word: 'two columns alike',
    value: 'two',
    says: { display: 'grid', 'grid-template-columns': '1fr 1fr' },
  },
  {
    word: 'three columns alike',
    value: 'three',
    says: { display: 'grid', 'grid-template-columns': '1fr 1fr 1fr' },
  },
  {
    word: 'as many columns as there is room for',
    value: 'room',
    says: {
      display: 'grid',
      'grid-template-columns': 'repeat(auto-fit,minmax(min(100%,16rem),1fr))',
    },
  },
];

/** How what comes into a slot lies, chosen by pictures: the style of the element around it, with a way to more of that. */
export function SlotLying({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { doc, node } = selected;
  const around = node.place.parent;
  const stored = around === null ? undefined : own(doc.nodes, around);
  if (around === null || stored?.kind !== 'element')
    return <span className="quiet">as what is around it lays it out</span>;
  const declared = (property: string) => own(stored.style, property)?.css.replace(/\s*,\s*/g, ',');
  const chosen = WAYS.find(({ says }) =>
    Object.entries(says).every(([property, css]) => declared(property) === css),
  );
  const lay = ({ says }: Lying) =>
    sync.attemptAll(
      Object.entries(says).flatMap(([property, typed]) => {
        const read = readValue(property, typed, documents.tokens.tokens);
        return read.ok ? [declareOf(doc.id, around, property, read.css)] : [];
      }),
      { group: `laid out ${newId()}` },
    );
  return (
    <span className="cell-with-actions">
      <Ways
        label="How what comes in lies"
        ways={WAYS}
        chosen={chosen?.value}
        columns={WAYS.length}
        draw={({ says }) => (
          <span className="picture is-flow" style={drawn(says)} aria-hidden>
            {[1, 2, 3, 4].map((n) => (
              <i key={n}>{n}</i>
            ))}
          </span>
        )}
        onChoose={(value) => {
          const way = WAYS.find((each) => each.value === value);
          if (way) lay(way);
        }}
      />
      <button
        type="button"
        className="as-link"
        onClick={() => {
          dispatch(benchActions.select({ doc: doc.id, nodes: [around] }));
          dispatch(benchActions.setTab('style'));
        }}
      >
        style of {nodeName(documents, stored, doc)}
      </button>
    </span>
  );
}

function declareOf(doc: string, node: NodeId, property: string, css: string) {
  return {
    name: 'declare' as const,
    args: { doc, nodes: [node], property, width: 'base', css },
  };
}

/** A picture of a way: as it is, with columns that fit the picture. */
function drawn(says: Readonly<Record<string, string>>) {
  const columns = says['grid-template-columns'];
  return {
    display: says['display'],
    flexDirection: says['flex-direction'] as 'row' | 'column' | undefined,
    gridTemplateColumns: columns?.startsWith('repeat') ? 'repeat(4,1fr)' : columns,
    gap: 1,
  };
}
