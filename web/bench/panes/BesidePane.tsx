import { useState, type ReactNode } from 'react';
import { X } from 'lucide-react';
import { rootOf, type ComponentDoc } from '@sormet/core/model';
import { Canvas, UNDRAWN } from '../../canvas/Canvas';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { IconButton } from '../../parts/IconButton';
import { count } from '../../words';
import { DefinitionHead } from './DefinitionHead';
import { Axes } from '../variants/Axes';
import { LaidOver } from './LaidOver';

/** A definition beside the page, drawn with its defaults. */
export function BesidePane({ definition }: { definition: ComponentDoc }): ReactNode {
  const dispatch = useAppDispatch();
  const [drawn, setDrawn] = useState(UNDRAWN);
  const [width, setWidth] = useState<number | null>(null);
  const { id, properties, nodes } = definition;
  return (
    <div className="pane pane-definition">
      <DefinitionHead definition={definition} drawn={drawn} chosen={width} onChoose={setWidth}>
        <IconButton
          icon={X}
          name="Close the definition"
          title="Close the definition"
          onPress={() => dispatch(benchActions.openBeside(null))}
        />
      </DefinitionHead>
      <Axes definition={definition} isAlone={false} />
      <Canvas
        key={id}
        doc={id}
        entry={undefined}
        kind="definition"
        drawnAt={width}
        onDrawn={setDrawn}
        over={LaidOver}
      />
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
