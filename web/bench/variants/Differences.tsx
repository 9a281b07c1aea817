import { useRef, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { own, type ComponentDoc, type Documents } from '@sormet/core/model';
import { differencesOf, nodeName, type Difference, type NamedEdit } from '@sormet/core/edit';
import { valueText } from '@sormet/core/style';
import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { count } from '../../words';

/** What the variant that is lit says otherwise than the base: each leads to where it is said, and goes back to the base by a press. */
export function Differences({
  documents,
  definition,
  rule,
}: {
  documents: Documents;
  definition: ComponentDoc;
  rule: string;
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  const opens = useRef<HTMLButtonElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const differences = differencesOf(definition, rule);
  const isRule = own(definition.rules, rule) !== undefined;
  if (!isRule || differences.length === 0)
    return <span className="quiet">as the base in everything</span>;
  return (
    <Popover
      open={open}
      trigger="click"
      placement="bottomLeft"
      destroyOnHidden
      onOpenChange={setOpen}
      afterOpenChange={(isOpen) => {
        if (isOpen) list.current?.querySelector('button')?.focus({ preventScroll: true });
      }}
      content={
        <div
          className="differences"
          role="group"
          aria-label="What differs from the base"
          ref={list}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            setOpen(false);
            opens.current?.focus();
          }}
        >
          <ul>
            {differences.map((each) => {
              const words = differenceWords(documents, definition, each);
              const back = takenBack(definition, rule, each);
              return (
                <li key={words}>
                  <button
                    type="button"
                    className="as-link"
                    onClick={() => {
                      dispatch(benchActions.select({ doc: definition.id, nodes: [each.node] }));
                      dispatch(benchActions.setTab(each.of === 'style' ? 'style' : 'values'));
                      setOpen(false);
                    }}
                  >
                    {words}
                  </button>
                  {back ? (
                    <button
                      type="button"
                      className="as-link"
                      aria-label={`back to the base: ${words}`}
                      onClick={() => sync.edit(back)}
                    >
                      back to the base
                    </button>
                  ) : null}
                </li>
              );
            })}
          </ul>
          <button
            type="button"
            className="plain-button"
            onClick={() => {
              if (sync.edit({ name: 'removeRule', args: { component: definition.id, rule } }))
                setOpen(false);
            }}
          >
            all of it back to the base
          </button>
        </div>
      }
    >
      <button
        ref={opens}
        type="button"
        className="as-link"
        aria-haspopup="dialog"
        aria-expanded={open}
      >
        {count(differences.length, 'difference')} from the base
      </button>
    </Popover>
  );
}

/** A difference in words: what of which element, at which width, in which state. */
function differenceWords(
  documents: Documents,
  definition: ComponentDoc,
  difference: Difference,
): string {
  const node = definition.nodes[difference.node]!;
  const name = nodeName(documents, node, definition);
  switch (difference.of) {
    case 'style': {
      const { property, width, state = '', declared } = difference;
      const max = width === 'base' ? undefined : own(documents.site.widths, width)?.max;
      const at = max === undefined ? '' : ` up to ${max}`;
      return `${name}: ${property} ${valueText(declared, documents.tokens.tokens)}${at}${state}`;
    }
    case 'shown':
      return `${name}: whether it is shown`;
    case 'attribute':
      return `${name}: ${difference.name}`;
    case 'value': {
      const component = node.kind === 'instance' ? documents.get(node.component) : undefined;
      const label =
        component?.kind === 'component'
          ? own(component.properties, difference.name)?.label
          : undefined;
      return `${name}: ${label ?? 'a value that is gone'}`;
    }
  }
}

/** The edit by which a difference follows the base again. */
function takenBack({ id }: ComponentDoc, rule: string, difference: Difference): NamedEdit {
  const { node } = difference;
  const where = { component: id, rule, node };
  if (difference.of === 'style') {
    const { property, width, state } = difference;
    return {
      name: 'declareRule',
      args: { ...where, property, width, css: null, ...(state ? { state } : {}) },
    };
  }
  const control =
    difference.of === 'shown'
      ? { of: 'shown' as const }
      : difference.of === 'attribute'
        ? { of: 'attribute' as const, name: difference.name }
        : { of: 'value' as const, property: difference.name };
  return { name: 'setByRule', args: { ...where, control, source: null } };
}
