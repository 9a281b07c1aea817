import { useState, type ReactNode } from 'react';
import { Form, Input, Radio, Select } from 'antd';
import { newId, orderAfterAll, pointer, TOKEN_GROUPS, type TokenGroup } from '@sormet/core/model';
import { placesOfValue } from '@sormet/core/edit';
import { readTokenValue, type AppliedBlock } from '@sormet/core/style';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count } from '../../words';

/** For which groups of tokens a property asks, the likeliest first. */
function groupsFor(property: string, css: string): TokenGroup[] {
  const likely: TokenGroup[] = /color|fill|stroke$/.test(property)
    ? ['colour']
    : /^font-size/.test(property)
      ? ['size']
      : /radius/.test(property)
        ? ['radius']
        : /^line-height/.test(property)
          ? ['lineHeight']
          : [];
  const groups = Object.keys(TOKEN_GROUPS) as TokenGroup[];
  const fit = groups.filter((group) => readTokenValue(TOKEN_GROUPS[group].type, css).ok);
  return [...new Set([...likely.filter((group) => fit.includes(group)), ...fit])];
}

/** Makes a token of a value, in the place of that value here, or wherever the site declares the same for the same thing. */
export function SaveAsToken({
  property,
  css,
  place,
  onClose,
}: {
  property: string;
  css: string;
  /** The rule that declares it, and the key there. */
  place: { rule: AppliedBlock; key: string };
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const groups = groupsFor(property, css);
  const [name, setName] = useState('');
  const [group, setGroup] = useState<TokenGroup | undefined>(groups[0]);
  const [everywhere, setEverywhere] = useState(false);
  const { tokens } = documents.tokens;
  const wanted = name.trim().toLowerCase();
  const taken = Object.values(tokens).some((token) => token.name.toLowerCase() === wanted);
  const ready = wanted !== '' && !taken && group !== undefined && !/[{}]/.test(wanted);
  const here = placeOf(place);
  const alike = group === undefined ? [] : placesOfValue(documents, css, TOKEN_GROUPS[group].type);
  const save = () => {
    if (!ready) return;
    const places = everywhere ? alike : here ? [here] : [];
    const done = sync.edit({
      name: 'addToken',
      args: {
        token: newId(),
        name: name.trim(),
        group,
        order: orderAfterAll(Object.values(tokens)),
        css,
        places: [...places],
      },
    });
    if (done) onClose();
  };
  return (
    <Dialog
      open
      title="Save as a token"
      okText="Save"
      cancelText="Leave it"
      okButtonProps={{ disabled: !ready }}
      onOk={save}
      onCancel={onClose}
    >
      {groups.length === 0 ? (
        <p>No token can hold {css}.</p>
      ) : (
        <Form layout="vertical">
          <p>
            <code>
              {property}: {css}
            </code>
          </p>
          <Form.Item
            label="Name"
            validateStatus={taken ? 'error' : ''}
            help={taken ? `There is a token “${name.trim()}” already.` : undefined}
          >
            <Input
              data-first
              aria-label="Name of the token"
              value={name}
              onChange={({ target }) => setName(target.value)}
            />
          </Form.Item>
          <Form.Item label="Group">
            <Select
              aria-label="Group"
              value={group}
              options={groups.map((each) => ({ value: each, label: TOKEN_GROUPS[each].word }))}
              onChange={setGroup}
            />
          </Form.Item>
          <Radio.Group value={everywhere} onChange={({ target }) => setEverywhere(target.value)}>
            <Radio value={false}>in its place here</Radio>
            <Radio value={true}>
              wherever the same value stands: {count(alike.length, 'declaration')}
            </Radio>
          </Radio.Group>
        </Form>
      )}
    </Dialog>
  );
}

/** Where a rule declares something, as edits name places. */
function placeOf({ rule: { origin }, key }: { rule: AppliedBlock; key: string }) {
  switch (origin.is) {
    case 'tag':
      return { doc: origin.doc, path: pointer('tags', origin.tag, key) };
    case 'node':
      return { doc: origin.doc, path: pointer('nodes', origin.node, 'style', key) };
    case 'shared':
      return { doc: origin.doc, path: pointer('style', key) };
    case 'rule':
      return {
        doc: origin.doc,
        path: pointer('rules', origin.rule, 'patch', origin.node, 'style', key),
      };
    case 'part':
      return {
        doc: origin.doc,
        path: pointer('nodes', origin.node, 'parts', origin.part, key),
      };
    case 'theme':
      return undefined;
  }
}
