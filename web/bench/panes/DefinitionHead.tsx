import type { ReactNode } from 'react';
import type { ComponentDoc } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { useDerived } from '../../site/SiteProvider';
import type { Drawn } from '../../canvas/Canvas';
import { shortReach } from '../../words';
import { HeldHere } from '../states/HeldHere';
import { GuidesButton } from '../guides/GuidesButton';
import { DrawnAt } from './DrawnAt';
import { WholeButton } from './WholeButton';
import { ZoomField } from './ZoomField';

/** The head of a drawn definition: whose it is, whom it reaches, at which width and share it is drawn. */
export function DefinitionHead({
  definition,
  drawn,
  chosen,
  onChoose,
  children,
}: {
  definition: ComponentDoc;
  drawn: Drawn;
  chosen: number | null;
  onChoose: (width: number | null) => void;
  children?: ReactNode;
}): ReactNode {
  const { reach } = useDerived();
  return (
    <div className="pane-head">
      <WholeButton doc={definition.id}>Definition of {shortName(definition.name)}</WholeButton>
      <span className="pane-reach">{shortReach(reach.answer(definition.id))}</span>
      <HeldHere doc={definition.id} />
      <span className="quiet">
        <DrawnAt width={drawn.width} chosen={chosen} onChoose={onChoose} /> ·{' '}
        <ZoomField kind="definition" scale={drawn.scale} />
      </span>
      <GuidesButton doc={definition.id} name="Guides of the definition" />
      {children}
    </div>
  );
}
