import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import type { ComponentDoc, PropertyId, Typed } from '@sormet/core/model';
import { connecting, type ArgsOf, type ControlRow } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { valueWords, count } from '../../words';

type Holds = ArgsOf<'connect'>['holds'];

interface Asked {
  readonly property: PropertyId;
  readonly rows: readonly ControlRow[];
  readonly held: Typed;
  readonly byDefault: Typed;
}

/**
 * Feeds controls from a property that is there: at once where nothing is lost by it, else only after it was chosen which
 * of the two values there is from then on. Whoever uses it draws `asked` somewhere.
 */
export function useConnecting(component: ComponentDoc | undefined): {
  connect: (property: PropertyId, rows: readonly ControlRow[]) => void;
  asked: ReactNode;
} {
  const sync = useSync();
  const { documents } = useDerived();
  const [asking, setAsking] = useState<Asked>();
  const done = (property: PropertyId, rows: readonly ControlRow[], holds: Holds) =>
    component &&
    sync.edit({
      name: 'connect',
      args: {
        component: component.id,
        property,
        controls: rows.map(({ node, control }) => ({ node, control })),
        holds,
      },
    });
  return {
    connect(property, rows) {
      if (!component) return;
      const found = connecting(documents, component, property, rows);
      if (found?.is !== 'asked') return void done(property, rows, 'what it has');
      const { held, byDefault } = found;
      setAsking({ property, rows, held: held as Typed, byDefault: byDefault as Typed });
    },
    asked: component ? (
      <ConnectingDialog
        component={component}
        asked={asking}
        onChoose={(holds) => {
          if (asking) done(asking.property, asking.rows, holds);
          setAsking(undefined);
        }}
        onClose={() => setAsking(undefined)}
      />
    ) : null,
  };
}

function ConnectingDialog({
  component,
  asked,
  onChoose,
  onClose,
}: {
  component: ComponentDoc;
  asked: Asked | undefined;
  onChoose: (holds: Holds) => void;
  onClose: () => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  if (!asked) return <Dialog open={false} onCancel={onClose} />;
  const { property, rows, held, byDefault } = asked;
  const made = component.properties[property];
  const [row] = rows;
  const words = (typed: Typed) => valueWords(documents, typed) || 'nothing';
  const following =
    reach.answer(component.id).instances.length - reach.settersOf(component.id, property).length;
  return (
    <Dialog
      open
      width={640}
      title={`Connect with “${made?.label ?? ''}”`}
      onCancel={onClose}
      footer={[
        <Button key="no" onClick={onClose}>
          Leave it as it is
        </Button>,
        <Button key="theirs" data-first onClick={() => onChoose('what it has')}>
          Show what the property has
        </Button>,
        <Button key="ours" type="primary" onClick={() => onChoose('what stands there')}>
          Make what stands there the default
        </Button>,
      ]}
    >
      <p>Both hold something, and only one of them can show:</p>
      <dl className="two-values">
        <dt>
          {row?.label ?? 'What stands there'}
          {rows.length > 1 ? `, the first of ${rows.length}` : ''}
        </dt>
        <dd>{words(held)}</dd>
        <dt>{made?.label}, by default</dt>
        <dd>{words(byDefault)}</dd>
      </dl>
      <p className="quiet">
        {count(following, 'instance')} {following === 1 ? 'follows' : 'follow'} the default; what
        instances have of their own stays.
      </p>
    </Dialog>
  );
}
