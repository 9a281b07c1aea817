import { useMemo, useState, type ReactNode } from 'react';
import { Button, Form, Input, Radio, Select } from 'antd';
import { NumberField } from '../../../values/NumberField';
import { useSayLost } from '../../../values/use-say-lost';
import { inOrder, newId, orderAfterAll, orderBetween, own } from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import { colourSteps, RATIOS, SCALES, sizeSteps, spaceSteps } from '@sormet/core/ready';
import { filled, readTokenText } from '@sormet/core/style';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { count, sentence } from '../../../words';
import './BeginScale.css';

type Kind = keyof typeof SCALES;

const WORDS: Readonly<Record<Kind, string>> = {
  colour: 'steps of a colour',
  size: 'sizes of text',
  space: 'room',
};

/** What a scale of each kind is called at first. */
const NAMES: Readonly<Record<Kind, string>> = { colour: 'brand', size: 'text', space: 'space' };

/** Begins a scale of tokens: steps of a colour, sizes by a ratio, room by a unit. */
export function BeginScale(): ReactNode {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)}>
        Begin a scale
      </Button>
      {open ? <Beginning onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function Beginning({ onClose }: { onClose: () => void }): ReactNode {
  const { documents } = useDerived();
  const sayLost = useSayLost();
  const sync = useSync();
  const { tokens } = documents.tokens;
  const colours = inOrder(tokens).filter(([, { type }]) => type === 'colour');
  const [kind, setKind] = useState<Kind>('colour');
  const [named, setNamed] = useState<string | null>(null);
  const [of, setOf] = useState<string>(colours[0]?.[0] ?? '');
  const [colour, setColour] = useState('#0b6b6f');
  const [base, setBase] = useState<readonly [number, number]>([16, 18]);
  const [ratio, setRatio] = useState(1.25);
  const [above, setAbove] = useState(6);
  const [widths, setWidths] = useState<readonly [number, number]>([360, 1280]);
  const [wrong, setWrong] = useState('');
  const source = own(tokens, of);
  const name = (named ?? (kind === 'colour' && source ? source.name : NAMES[kind])).trim();
  const scale = useMemo(
    () => ({ base, ratio: [ratio, ratio] as const, below: 2, above, widths }),
    [base, ratio, above, widths],
  );
  const steps =
    kind === 'colour'
      ? colourSteps(name)
      : kind === 'size'
        ? sizeSteps(name, scale)
        : spaceSteps(name, scale);
  const shownColour = source ? (filled(source.value, tokens) ?? colour) : colour;
  const add = () => {
    let order: string | null = orderAfterAll(Object.values(tokens));
    const edits: NamedEdit[] = [];
    let from = of;
    const push = (tokenName: string, css: string, uses: Readonly<Record<string, string>> = {}) => {
      const token = newId();
      edits.push({
        name: 'addToken',
        args: {
          token,
          name: tokenName,
          group: SCALES[kind],
          order: order!,
          css,
          places: [],
          ...(Object.keys(uses).length > 0 ? { tokens: uses } : {}),
        },
      });
      order = orderBetween(order, null);
      return token;
    };
    if (kind === 'colour' && !source) {
      const read = readTokenText('colour', colour, tokens);
      if (!read.ok) return setWrong(sentence(read.reason));
      from = push(name, read.css, { ...read.tokens });
    }
    for (const step of steps)
      if (step) push(step.name, step.css, kind === 'colour' ? { of: from } : {});
    const refusal = sync.attemptAll(edits, { group: `scale ${newId()} 1` });
    if (refusal) setWrong(sentence(refusal.refused));
    else onClose();
  };
  const pair = (
    label: string,
    value: readonly [number, number],
    give: (value: readonly [number, number]) => void,
    unit: string,
  ) => (
    <Form.Item label={label}>
      <span className="scale-pair">
        {([0, 1] as const).map((end) => (
          <NumberField
            lost={sayLost}
            key={end}
            label={`${label}, ${end === 0 ? 'narrow' : 'wide'}`}
            language={documents.site.language}
            least={1}
            most={4000}
            value={value[end]}
            onChange={(now) => {
              if (now !== null) give(end === 0 ? [now, value[1]] : [value[0], now]);
            }}
          />
        ))}
        <span className="quiet">{unit}</span>
      </span>
    </Form.Item>
  );
  return (
    <Dialog
      open
      title="Begin a scale"
      okText={`Add ${count(steps.filter(Boolean).length, 'token')}`}
      cancelText="Leave it"
      okButtonProps={{ disabled: name === '' }}
      onOk={add}
      onCancel={onClose}
    >
      <Form layout="vertical" className="begin-scale">
        <Radio.Group
          aria-label="Kind of scale"
          value={kind}
          options={(Object.keys(SCALES) as Kind[]).map((each) => ({
            value: each,
            label: WORDS[each],
          }))}
          onChange={({ target }) => {
            setKind(target.value as Kind);
            setNamed(null);
            setWrong('');
          }}
        />
        {kind === 'colour' ? (
          <Form.Item label="Of the colour" extra="The steps follow it: change it, and all change.">
            <Select
              aria-label="Of the colour"
              value={of}
              options={[
                ...colours.map(([id, token]) => ({ value: id, label: token.name })),
                { value: '', label: 'a new one' },
              ]}
              onChange={setOf}
            />
            {source ? null : (
              <Input
                aria-label="The new colour"
                value={colour}
                onChange={({ target }) => setColour(target.value)}
              />
            )}
          </Form.Item>
        ) : (
          <>
            {pair(
              kind === 'size' ? 'Running text, narrow and wide' : 'One unit, narrow and wide',
              base,
              setBase,
              'px',
            )}
            {pair('Between the widths', widths, setWidths, 'px of the window')}
          </>
        )}
        {kind === 'size' ? (
          <>
            <Form.Item label="Each step larger by">
              <Select
                aria-label="Each step larger by"
                value={ratio}
                options={RATIOS.map(([label, value]) => ({ value, label }))}
                onChange={setRatio}
              />
            </Form.Item>
            <Form.Item label="Steps larger than running text">
              <NumberField
                lost={sayLost}
                label="Steps larger than running text"
                language={documents.site.language}
                least={1}
                most={9}
                whole
                value={above}
                onChange={(now) => {
                  if (now !== null) setAbove(now);
                }}
              />
            </Form.Item>
          </>
        ) : null}
        <Form.Item
          label="Name"
          validateStatus={wrong ? 'error' : ''}
          help={wrong || `The steps are ${name || '…'} 1, ${name || '…'} 2 and so on.`}
        >
          <Input
            data-first
            aria-label="Name of the scale"
            value={named ?? name}
            onChange={({ target }) => {
              setNamed(target.value);
              setWrong('');
            }}
          />
        </Form.Item>
        <div className={`scale-drawn is-${kind}`} aria-label="The steps" role="group">
          {steps.map((step, i) => (
            <span key={i} title={step?.css ?? 'the colour itself'}>
              {kind === 'colour' ? (
                <i
                  style={{
                    background: (step?.css ?? 'var(--of)').replace('var(--of)', shownColour),
                  }}
                />
              ) : kind === 'size' ? (
                <b style={{ fontSize: step?.css }}>Aa</b>
              ) : (
                <i style={{ width: step?.css }} />
              )}
            </span>
          ))}
        </div>
      </Form>
    </Dialog>
  );
}
