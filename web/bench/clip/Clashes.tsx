import { useMemo, useState, type ReactNode } from 'react';
import { Radio } from 'antd';
import type { Choice, Choices, Clash, Clip } from '@sormet/core/carry';
import { plant } from '@sormet/core/ready';
import {
  FORMAT,
  groupOf,
  text,
  type Documents,
  type PageDoc,
  type StyleDoc,
  type TokensDoc,
} from '@sormet/core/model';
import { reachOfStyle, reachOfToken } from '@sormet/core/reach';
import { build, Linker } from '@sormet/core/resolve';
import { filled } from '@sormet/core/style';
import { dataOf } from '@sormet/core/value';
import { HeadedTable } from '../../parts/HeadedTable';
import { Picture } from '../../canvas/Picture';
import { Dialog } from '../../parts/Dialog';
import { useDerived } from '../../site/SiteProvider';
import { TokenDrawn } from '../../values/TokenDrawn';
import { count } from '../../words';
import './Clashes.css';

const WORDS: Readonly<Record<Choice, string>> = {
  ours: 'keep ours',
  theirs: 'theirs in its place',
  both: 'theirs beside it, under another name',
};
const CHOICES = Object.keys(WORDS) as Choice[];

/**
 * What comes in from another site and is called as something here, but looks otherwise: both drawn side by side, with whom
 * ours reaches. Nothing is pasted before it is decided, for one or for all.
 */
export function Clashes({
  clip,
  clashes,
  onDecide,
  onClose,
}: {
  clip: Clip;
  clashes: readonly Clash[];
  onDecide: (choices: Choices) => void;
  onClose: () => void;
}): ReactNode {
  const [chosen, setChosen] = useState<Record<string, Choice>>({});
  const choiceOf = (id: string): Choice => chosen[id] ?? 'ours';
  const all = CHOICES.find((choice) => clashes.every(({ id }) => choiceOf(id) === choice));
  return (
    <Dialog
      open
      title={`${count(clashes.length, 'name')} that this site uses for something else`}
      okText="Paste"
      cancelText="Leave it"
      width={760}
      onOk={() => onDecide(chosen)}
      onCancel={onClose}
    >
      <p className="clash-all">
        <span>For all of them:</span>
        <Radio.Group
          aria-label="For all of them"
          value={all}
          options={CHOICES.map((choice) => ({ value: choice, label: WORDS[choice] }))}
          onChange={({ target }) =>
            setChosen(Object.fromEntries(clashes.map(({ id }) => [id, target.value as Choice])))
          }
        />
      </p>
      <HeadedTable
        label="What clashes"
        className="ledger-table clashes"
        heads={['Name', 'Ours', 'Theirs', 'Take']}
      >
        <tbody>
          {clashes.map((clash) => (
            <tr key={clash.id}>
              <th scope="row">
                {clash.name}
                <Reaches clash={clash} />
              </th>
              <Sides clip={clip} clash={clash} />
              <td>
                <Radio.Group
                  aria-label={`Of ${clash.name}, take`}
                  value={choiceOf(clash.id)}
                  onChange={({ target }) =>
                    setChosen({ ...chosen, [clash.id]: target.value as Choice })
                  }
                >
                  {CHOICES.map((choice) => (
                    <Radio key={choice} value={choice}>
                      {WORDS[choice]}
                    </Radio>
                  ))}
                </Radio.Group>
              </td>
            </tr>
          ))}
        </tbody>
      </HeadedTable>
    </Dialog>
  );
}

/** Whom ours reaches: what would look otherwise with theirs in its place. */
function Reaches({ clash }: { clash: Clash }): ReactNode {
  const { documents, reach } = useDerived();
  if (clash.is === 'style') {
    const { elements, pages } = reachOfStyle(documents, reach, clash.ours.id);
    return (
      <span className="quiet">
        ours: {count(elements, 'element')} on {count(pages, 'page')}
      </span>
    );
  }
  const { declarations, pages } = reachOfToken(documents, reach, clash.here);
  return (
    <span className="quiet">
      ours: {count(declarations, 'declaration')} on {count(pages.length, 'page')}
    </span>
  );
}

function Sides({ clip, clash }: { clip: Clip; clash: Clash }): ReactNode {
  const { documents } = useDerived();
  if (clash.is === 'token') {
    const sides = [
      { token: clash.ours, tokens: documents.tokens.tokens },
      { token: clash.theirs, tokens: clip.tokens },
    ];
    return sides.map(({ token, tokens }, i) => {
      const css = filled(token.value, tokens);
      return (
        <td key={i}>
          <span className="clash-token">
            <TokenDrawn type={token.type} group={groupOf(token)} css={css} />
            <code>{css}</code>
          </span>
        </td>
      );
    });
  }
  return (
    <>
      <td>
        <Drawn style={clash.ours} documents={documents} />
      </td>
      <td>
        <Drawn style={clash.theirs} documents={asTheirs(documents, clip)} />
      </td>
    </>
  );
}

/** This site with the tokens and styles of a clip: as theirs looks where it comes from. */
function asTheirs(documents: Documents, clip: Clip): Documents {
  const tokens: TokensDoc = {
    ...documents.tokens,
    tokens: { ...documents.tokens.tokens, ...clip.tokens },
  };
  return documents.with(tokens, ...Object.values(clip.styles));
}

/** Something that has a shared style on, its bases too, drawn as it is. */
function Drawn({ style, documents }: { style: StyleDoc; documents: Documents }): ReactNode {
  const drawn = useMemo(() => {
    const worn: Record<string, true> = {};
    for (let at: StyleDoc | undefined = style; at && !worn[at.id];) {
      worn[at.id] = true;
      at = at.base === null ? undefined : documents.ofKind('style', at.base);
    }
    const { nodes } = plant(
      { tag: 'div', shared: worn, text: style.name },
      { parent: null, order: 'a0' },
    );
    const page: PageDoc = {
      id: 'a-drawn-style',
      kind: 'page',
      format: FORMAT,
      name: style.name,
      path: '/',
      title: text(''),
      description: text(''),
      draft: true,
      entries: null,
      former: {},
      nodes,
    };
    const all = documents.with(page, style);
    return { all, built: build(new Linker().link(all, page.id), dataOf(all), undefined) };
  }, [style, documents]);
  return <Picture documents={drawn.all} built={drawn.built} drawn={320} width={190} height={80} />;
}
