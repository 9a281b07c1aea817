import { useRef, useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { readTokens, tokensToTake, writeTokens, type ToTake } from '@sormet/core/format';
import { allOf, newId, type Finding, type Json } from '@sormet/core/model';
import { say, type Said } from '@sormet/core/said';
import { count, inWords } from '../../../words';
import { Dialog } from '../../../parts/Dialog';
import { saveFile } from '../../../parts/save-file';
import { useDerived, useSync } from '../../../site/SiteProvider';

/** The largest file of tokens that is read, in bytes. */
const LARGEST = 2_000_000;

type Outcome =
  | { readonly is: 'wrong'; readonly findings: readonly Finding[] }
  | { readonly is: 'ready'; readonly take: ToTake; readonly left: readonly Finding[] };

/** How many findings are listed. */
const LISTED = 30;

/** What is wrong in a file, each by its place. */
function Findings({ findings }: { findings: readonly Finding[] }): ReactNode {
  return (
    <>
      <ul className="token-findings">
        {findings.slice(0, LISTED).map(({ path, reason }, i) => (
          <li key={i}>
            <code>{path || 'the file'}</code> {inWords(reason)}
          </li>
        ))}
      </ul>
      {findings.length > LISTED ? `and ${findings.length - LISTED} more` : null}
    </>
  );
}

/** Tokens out into a file of the Design Tokens Community Group's format, and in from one: what is sound of it, once one has seen what stays out. */
export function TokenFiles(): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const field = useRef<HTMLInputElement>(null);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const save = () => {
    const text = JSON.stringify(writeTokens(documents.tokens, allOf(documents, 'style')), null, 2);
    saveFile(`${documents.site.slug}.tokens.json`, text, 'application/json');
  };
  const wrong = (path: string, reason: Said) =>
    setOutcome({ is: 'wrong', findings: [{ path, reason }] });
  const open = async (file: File) => {
    if (file.size > LARGEST) return wrong('', say('token-file-too-large'));
    let json: Json;
    try {
      json = JSON.parse(await file.text()) as Json;
    } catch (error) {
      return wrong('', say('no-json', { why: (error as Error).message }));
    }
    const read = readTokens(json);
    if (!read.ok) return setOutcome({ is: 'wrong', findings: read.findings });
    const take = tokensToTake(documents, read, newId);
    const left = [...read.left, ...take.left];
    if (Object.keys(take.tokens).length + take.styles.length === 0 && left.length > 0)
      return setOutcome({ is: 'wrong', findings: left });
    setOutcome({ is: 'ready', take, left });
  };
  return (
    <>
      <Button size="small" onClick={save}>
        Save as a file
      </Button>
      <Button size="small" onClick={() => field.current?.click()}>
        Take a file in …
      </Button>
      <input
        ref={field}
        type="file"
        hidden
        accept=".json,.tokens,application/json,application/design-tokens+json"
        aria-label="A file of tokens"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void open(file);
          target.value = '';
        }}
      />
      {outcome?.is === 'wrong' ? (
        <Dialog
          open
          title="Nothing was taken in"
          okText="Understood"
          cancelButtonProps={{ style: { display: 'none' } }}
          onOk={() => setOutcome(null)}
          onCancel={() => setOutcome(null)}
        >
          <Findings findings={outcome.findings} />
        </Dialog>
      ) : null}
      {outcome?.is === 'ready' ? (
        <Taking
          take={outcome.take}
          left={outcome.left}
          onTake={() => {
            const { tokens, themes, styles } = outcome.take;
            const args = { tokens, themes, styles: [...styles] };
            if (sync.edit({ name: 'takeTokens', args })) setOutcome(null);
          }}
          onClose={() => setOutcome(null)}
        />
      ) : null}
    </>
  );
}

/** What would come in and what of the site would change, before it does. */
function Taking({
  take: { tokens, styles, changed },
  left,
  onTake,
  onClose,
}: {
  take: ToTake;
  /** What stays out. */
  left: readonly Finding[];
  onTake: () => void;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const fresh = Object.keys(tokens).filter((id) => !Object.hasOwn(documents.tokens.tokens, id));
  const all = Object.keys(tokens).length + styles.length;
  const freshStyles = styles.filter(({ id }) => !documents.get(id)).length;
  return (
    <Dialog
      open
      title="Take the tokens in"
      okText="Take them in"
      cancelText="Leave it"
      onOk={onTake}
      onCancel={onClose}
    >
      <p>
        {count(fresh.length, 'token')} new
        {freshStyles > 0 ? `, ${count(freshStyles, 'shared style')} new` : ''}, {changed.length}{' '}
        changed, {all - fresh.length - freshStyles - changed.length} the same.
      </p>
      {changed.length > 0 ? <p>Changed: {changed.join(', ')}.</p> : null}
      {left.length > 0 ? (
        <section aria-label="What stays out">
          <p>{left.length === 1 ? 'One thing stays out:' : `${left.length} things stay out:`}</p>
          <Findings findings={left} />
        </section>
      ) : null}
    </Dialog>
  );
}
