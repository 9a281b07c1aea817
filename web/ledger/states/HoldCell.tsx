import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import { sameJson, type NodeId, type Property, type PropertyId } from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { definitionHeld, heldChoices } from './held-values';
import './states.css';

/** Holds a state on the canvas: of the definition that is looked at, or of one instance. Nothing is stored. */
export function HoldCell({
  doc,
  node,
  property,
  made,
  first = 'as at first',
}: {
  doc: string;
  /** The instance; nothing for the definition itself. */
  node: NodeId | null;
  property: PropertyId;
  made: Property;
  /** What it is at first, in words. */
  first?: string;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const held = useApp(({ bench }) => bench.held).find(
    (each) => each.doc === doc && each.node === node && each.property === property,
  );
  const choices = heldChoices(documents, definitionHeld(documents, doc, node), made);
  if (choices.length === 0) return null;
  const hold = (value: (typeof choices)[number]['typed'] | null) =>
    dispatch(benchActions.hold({ doc, node, property, value }));
  const chosen = held && choices.find(({ typed }) => sameJson(typed, held.value));
  return (
    <span className="hold-cell">
      <ChoiceCell
        label={`${made.label}, held at`}
        chosen={chosen?.value}
        placeholder={first}
        options={choices}
        onChoose={(value) => hold(choices.find((each) => each.value === value)!.typed)}
      />
      {held ? (
        <>
          <span className="held-word">held</span>
          <IconButton
            icon={X}
            name={`${made.label}: no longer held`}
            title="No longer held"
            onPress={() => hold(null)}
          />
        </>
      ) : null}
    </span>
  );
}
