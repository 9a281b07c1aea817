import type { ReactNode } from 'react';
import { own, treeDocOf, type ComponentDoc } from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { definitionHeld, heldWords, statesBeside } from '../../ledger/states/held-values';
import { HoldCell } from '../../ledger/states/HoldCell';

/** Which states the canvas of a document holds, with letting go of all; nothing where it holds none. */
export function HeldHere({ doc }: { doc: string }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const all = useApp(({ bench }) => bench.held).filter((each) => each.doc === doc);
  const tree = treeDocOf(documents, doc);
  const words = all.flatMap(({ node, property, value }) => {
    const instance = node === null ? undefined : own(tree?.nodes ?? {}, node);
    const definition = definitionHeld(documents, doc, node);
    const made = own(definition?.properties ?? {}, property);
    if (!made) return [];
    const said = heldWords(documents, definition, made, value);
    return [instance && tree ? `${nodeName(documents, instance, tree)} · ${said}` : said];
  });
  if (words.length === 0) return null;
  return (
    <span className="held-here" role="status">
      held: {words.join(', ')}{' '}
      <button type="button" className="as-link" onClick={() => dispatch(benchActions.letGo(doc))}>
        let go
      </button>
    </span>
  );
}

/** The states of a definition beside its axes, each with what it is held at. */
export function StatesLine({ definition }: { definition: ComponentDoc }): ReactNode {
  const states = statesBeside(definition);
  if (states.length === 0) return null;
  return (
    <div className="axes states-line">
      {states.map(([id, made]) => (
        <span key={id} className="axis">
          <span className="quiet axis-name">{made.label}</span>
          <HoldCell doc={definition.id} node={null} property={id} made={made} />
        </span>
      ))}
      <span className="quiet">states: held here, changed by visitors</span>
    </div>
  );
}
