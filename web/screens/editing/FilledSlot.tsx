import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  allOf,
  docOf,
  placeAt,
  type NodeId,
  type PageDoc,
  type Slot,
  type SlotId,
} from '@sormet/core/model';
import { movesTo, nodeName, shortName } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { ShelfThumb } from '../../bench/shelf/ShelfThumb';
import { fitsSlot, type Placeable } from '../../canvas/placing';
import { IconButton } from '../../parts/IconButton';
import { useDerived, useSync } from '../../site/SiteProvider';
import { inSlot } from './sections';

/** What stands in a slot: in order, each moved or taken out, and sections that are offered put in. */
export function FilledSlot({
  page,
  node,
  slot,
  made,
  onChoose,
}: {
  page: PageDoc;
  node: NodeId;
  slot: SlotId;
  made: Slot;
  onChoose: (section: string) => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [adding, setAdding] = useState(false);
  const inside = inSlot(page, node, slot);
  const offered = allOf(documents, 'component').filter(
    (component) =>
      component.offered && fitsSlot(documents, made, { is: 'component', id: component.id }),
  );
  const isFull = made.most !== undefined && inside.length >= made.most;
  const move = (id: NodeId, to: number) => {
    const moves = movesTo(page.nodes, [id], node, to, slot);
    if (moves.length > 0) sync.edit({ name: 'move', args: { doc: page.id, moves } });
  };
  const add = (component: string) => {
    const planted = plant({ component }, placeAt(page.nodes, node, inside.length, slot));
    if (sync.edit({ name: 'place', args: { doc: page.id, ...planted } })) {
      setAdding(false);
      onChoose(planted.root);
    }
  };
  return (
    <div className="filled-slot" role="group" aria-label={`In ${made.label}`}>
      <h3>{made.label}</h3>
      <ul>
        {inside.map((id, i) => {
          const stored = page.nodes[id]!;
          const name = nodeName(documents, stored, page);
          const isSection = stored.kind === 'instance';
          const isOffered =
            isSection && docOf(documents, 'component', stored.component)?.offered === true;
          return (
            <li key={id}>
              {isSection ? (
                <button type="button" className="as-link" onClick={() => onChoose(id)}>
                  {name}
                </button>
              ) : (
                <span className="quiet">{name}</span>
              )}
              {isSection && inside.length > 1 ? (
                <>
                  <IconButton
                    icon={ArrowUp}
                    name={`${name}: further up`}
                    title="Further up"
                    onPress={() => move(id, Math.max(0, i - 1))}
                  />
                  <IconButton
                    icon={ArrowDown}
                    name={`${name}: further down`}
                    title="Further down"
                    onPress={() => move(id, Math.min(inside.length, i + 2))}
                  />
                </>
              ) : null}
              {isOffered ? (
                <IconButton
                  icon={X}
                  name={`${name}: take it out`}
                  title="Take it out"
                  onPress={() => sync.edit({ name: 'remove', args: { doc: page.id, nodes: [id] } })}
                />
              ) : null}
            </li>
          );
        })}
      </ul>
      {offered.length === 0 || isFull ? null : (
        <Button size="small" aria-expanded={adding} onClick={() => setAdding(!adding)}>
          Add to {made.label} …
        </Button>
      )}
      {adding ? (
        <ul className="offered">
          {offered.map(({ id, name }) => {
            const placeable: Placeable = { is: 'component', id };
            return (
              <li key={id}>
                <button type="button" onClick={() => add(id)}>
                  <ShelfThumb placeable={placeable} isWhole />
                  {shortName(name)}
                </button>
              </li>
            );
          })}
        </ul>
      ) : null}
    </div>
  );
}
