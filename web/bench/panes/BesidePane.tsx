import type { ReactNode } from 'react';
import { Button } from 'antd';
import { X } from 'lucide-react';
import { rootOf, type ComponentDoc } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { Canvas } from '../../canvas/Canvas';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { count, shortReach } from '../words';

/** A definition beside the page, drawn with its defaults. */
export function BesidePane({ definition }: { definition: ComponentDoc }): ReactNode {
  const { reach } = useDerived();
  const dispatch = useAppDispatch();
  const { id, name, properties, nodes } = definition;
  return (
    <div className="pane pane-definition">
      <div className="pane-head">
        <span>Definition of {shortName(name)}</span>
        <span className="quiet">{shortReach(reach.answer(id))}</span>
        <Button
          size="small"
          type="text"
          aria-label="Close the definition"
          icon={<X size={14} />}
          onClick={() => dispatch(benchActions.openBeside(null))}
        />
      </div>
      <Canvas key={id} doc={id} entry={undefined} kind="definition" />
      <div className="pane-foot">
        <span>{count(Object.keys(properties).length, 'control')} exposed</span>
        <button
          type="button"
          className="as-link"
          onClick={() => dispatch(benchActions.select({ doc: id, nodes: [rootOf(nodes)] }))}
        >
          select its root
        </button>
      </div>
    </div>
  );
}
