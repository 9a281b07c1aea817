import { useState, type ReactNode } from 'react';
import { Checkbox, Form, Input, Select } from 'antd';
import { allOf, docOf, newId, nodeIn, orderAfterAll, own, type Block } from '@sormet/core/model';
import { keyParts, valueText } from '@sormet/core/style';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { useApp } from '../../store/store';
import type { Selected } from '../use-selected';
import { stateWord } from './states';

/** What belongs together in a look: its parts are one choice. */
const BUNDLES: readonly { readonly word: string; readonly has: (property: string) => boolean }[] = [
  {
    word: 'Look: colour, border and ground',
    has: (property) =>
      /^(color|background-|border-(?!.*radius).*(color|style|width)|box-shadow|opacity|fill|stroke|text-decoration)/.test(
        property,
      ),
  },
  {
    word: 'Size: box and type size',
    has: (property) =>
      /^(padding-|(min-|max-)?(width|height)$|font-size|line-height|border-.*radius|row-gap|column-gap|aspect-ratio)/.test(
        property,
      ),
  },
];

/** What a shared style can be made of: what an element declares itself, or what the variant that is lit says of it. */
export interface Taken {
  /** The rule that says it; none where the element does. */
  readonly saysIt: { readonly rule?: string };
  readonly block: Block;
  readonly worn: Readonly<Record<string, boolean>>;
  /** Properties that cannot be taken: what the element itself declares is stronger than a style. */
  readonly stays: readonly string[];
}

/** What of what is selected a shared style can be made of. */
export function useTaken({ doc, id, node, picked }: Selected): Taken {
  const { documents } = useDerived();
  const lit = useApp((state) => state.bench.lit);
  const stored = nodeIn(documents, doc.id, id) ?? node;
  if (stored.kind !== 'element' && stored.kind !== 'instance')
    return { saysIt: {}, block: {}, worn: {}, stays: [] };
  const isByRule = picked !== undefined && lit === null;
  if (!isByRule) return { saysIt: {}, block: stored.style, worn: stored.shared ?? {}, stays: [] };
  const patch = own(own(picked.component.rules, picked.rule)?.patch ?? {}, id);
  const propertyOf = (key: string) => keyParts(key).property;
  const declared = new Set(Object.keys(stored.style).map(propertyOf));
  const all = Object.entries(patch?.style ?? {});
  return {
    saysIt: { rule: picked.rule },
    block: Object.fromEntries(all.filter(([key]) => !declared.has(propertyOf(key)))),
    worn: 'shared' in node ? (node.shared ?? {}) : {},
    stays: [...new Set(all.map(([key]) => propertyOf(key)))].filter((each) => declared.has(each)),
  };
}

/** Makes a shared style of declarations of one's choice, which whatever is selected has from then on in their place. */
export function MakeStyle({
  begun,
  selected,
  onClose,
}: {
  begun: string;
  selected: Selected;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, id } = selected;
  const { saysIt, block, worn, stays } = useTaken(selected);
  const fromSource = (key: string) =>
    Object.values(block[key]?.refs ?? {}).some((ref) => 'source' in ref);
  const keys = Object.keys(block)
    .filter((key) => !fromSource(key))
    .sort();
  const [name, setName] = useState(begun);
  const [base, setBase] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(keys));
  const toggle = (which: readonly string[], on: boolean) => {
    const next = new Set(chosen);
    for (const key of which)
      if (on) next.add(key);
      else next.delete(key);
    setChosen(next);
  };
  const taken = allOf(documents, 'style').some(
    (style) => style.name.toLowerCase() === name.trim().toLowerCase(),
  );
  const ready = name.trim() !== '' && !taken && chosen.size > 0;
  const make = () => {
    if (!ready) return;
    const picked: Block = Object.fromEntries(
      keys.filter((key) => chosen.has(key)).map((key) => [key, block[key]!]),
    );
    const done = sync.edit({
      name: 'addStyle',
      args: {
        style: newId(),
        name: name.trim(),
        order: orderAfterAll(allOf(documents, 'style')),
        base,
        block: picked,
        from: { doc: doc.id, node: id, ...saysIt },
      },
    });
    if (done) onClose();
  };
  const bases = Object.keys(worn).flatMap((style) => {
    const found = docOf(documents, 'style', style);
    return found ? [{ value: style, label: found.name }] : [];
  });
  return (
    <Dialog
      open
      title="Make a shared style"
      okText="Make it"
      okButtonProps={{ disabled: !ready }}
      cancelText="Leave it"
      width={560}
      onOk={make}
      onCancel={onClose}
    >
      <Form layout="vertical">
        <Form.Item
          label="Name"
          validateStatus={taken ? 'error' : ''}
          help={taken ? `There is a shared style “${name.trim()}” already.` : undefined}
        >
          <Input
            data-first
            aria-label="Name of the shared style"
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        </Form.Item>
        {bases.length > 0 ? (
          <Form.Item label="Modifies" help="A modifier can only be put on where its base is on.">
            <Select
              aria-label="Modifies"
              allowClear
              value={base ?? undefined}
              placeholder="nothing: a style of its own"
              options={bases}
              onChange={(value: string | undefined) => setBase(value ?? null)}
            />
          </Form.Item>
        ) : null}
        {saysIt.rule === undefined ? null : (
          <p className="quiet">
            Made of what this variant says, and put on in it alone.
            {stays.length === 0
              ? ''
              : ` What the base declares itself stays here, it is stronger than any style: ${stays.join(', ')}.`}
          </p>
        )}
        <div className="bundles">
          {BUNDLES.map(({ word, has }) => {
            const inBundle = keys.filter((key) => has(keyParts(key).property));
            const on = inBundle.filter((key) => chosen.has(key)).length;
            return inBundle.length === 0 ? null : (
              <Checkbox
                key={word}
                checked={on === inBundle.length}
                indeterminate={on > 0 && on < inBundle.length}
                onChange={({ target }) => toggle(inBundle, target.checked)}
              >
                {word}
              </Checkbox>
            );
          })}
        </div>
        <ul className="chosen-declarations" aria-label="Declarations it takes">
          {keys.map((key) => {
            const { property, width, state } = keyParts(key);
            const max = own(documents.site.widths, width)?.max;
            return (
              <li key={key}>
                <Checkbox
                  checked={chosen.has(key)}
                  onChange={({ target }) => toggle([key], target.checked)}
                >
                  <code>
                    {property}: {valueText(block[key]!, documents.tokens.tokens)}
                  </code>
                  <span className="quiet">
                    {max === undefined ? '' : ` ${max} px and below`}
                    {state ? ` ${stateWord(state)}` : ''}
                  </span>
                </Checkbox>
              </li>
            );
          })}
        </ul>
      </Form>
    </Dialog>
  );
}
