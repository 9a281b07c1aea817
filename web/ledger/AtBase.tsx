import type { ReactNode } from 'react';
import { Undo2 } from 'lucide-react';
import { literal, own, yesNo, type Source } from '@sormet/core/model';
import { sourceAt, type Control } from '@sormet/core/resolve';
import { IconButton } from '../parts/IconButton';
import { useDerived } from '../site/SiteProvider';
import { sourceWords } from '../values/source-words';
import { saidByVariant, standsOn } from './style/picked';
import type { Selected } from './use-selected';

/**
 * What stands beside a value that the variant that is lit says: what holds without it, and the way back to that; nothing
 * beside another.
 */
export function AtBase({
  selected: { picked },
  node,
  control,
  what,
  onBack,
}: {
  selected: Selected;
  node: string;
  control: Control;
  /** What the row is called. */
  what: string;
  onBack: () => void;
}): ReactNode {
  const { documents } = useDerived();
  if (!picked || saidByVariant(picked, node, control) === undefined) return null;
  const base = standsOn(picked);
  const below = own(base.nodes, node);
  const source = (below && sourceAt(below, control)) ?? byItself(control);
  return (
    <SaidByVariant
      what={what}
      base={source === undefined ? 'nothing' : sourceWords(documents, base, source)}
      onBack={onBack}
    />
  );
}

/** What holds where nothing is said of a control. */
function byItself(control: Control): Source | undefined {
  return control.of === 'shown' ? literal(yesNo(true)) : undefined;
}

/** The words of the base beside what a variant says, and the way back to them. */
export function SaidByVariant({
  what,
  base,
  onBack,
}: {
  what: string;
  base: string;
  onBack: () => void;
}): ReactNode {
  return (
    <>
      <span className="at-base" title={`Without this variant: ${base}`}>
        base: {base}
      </span>
      <span className="cell-actions">
        <IconButton
          icon={Undo2}
          name={`${what}: back to the base`}
          title="Said of this variant alone: back to the base"
          onPress={onBack}
        />
      </span>
    </>
  );
}
