import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { State } from '@sormet/core/model';
import { readLine, type AppliedBlock, type Width } from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { SuggestField } from '../../parts/SuggestField';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { sentence } from '../../words';
import type { Selected } from '../use-selected';
import { optionsFor } from './declare-options';
import { declaredWords, styleCalled } from './declared-words';
import { declaring } from './declaring';
import type { RuleWords } from './rule-words';
import { Wrong } from '../../parts/Wrong';

/**
 * One line in which a few letters become a declaration in the lit rule (`pad 24`, `mt 32 @600`, `ink brand`), or put a
 * shared style on. It says what it would write, and where, before Enter.
 */
export function DeclareLine({
  selected,
  rule,
  width,
  state,
  words,
}: {
  selected: Selected;
  rule: AppliedBlock;
  width: Width;
  state: State | undefined;
  words: RuleWords;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const asked = useApp((state) => state.bench.declareAsked);
  const field = useRef<HTMLInputElement>(null);
  const [line, setLine] = useState('');
  const [wrong, setWrong] = useState('');
  useEffect(() => {
    if (!asked) return;
    field.current?.focus();
    dispatch(benchActions.declareAnswered());
  }, [asked, dispatch]);
  const { widths } = documents.site;
  const read = readLine(line, { tokens: documents.tokens.tokens, widths, width, state });
  const style = styleCalled(documents, selected, line);
  const says = style
    ? `put on ${style.name}`
    : read.ok
      ? `${declaredWords(read, documents)} in ${words.word(rule.origin)}: ${words.whom(rule.origin)}`
      : line.trim() === ''
        ? ''
        : sentence(read.reason);

  const type = (typed: string) => {
    setLine(typed);
    setWrong('');
  };
  const done = () => {
    setLine('');
    setWrong('');
  };
  const declare = () => {
    if (line.trim() === '') return;
    if (style) {
      const args = { doc: selected.doc.id, nodes: [...selected.all], style: style.id, on: true };
      if (sync.edit({ name: 'wear', args })) done();
      return;
    }
    if (!read.ok) return setWrong(sentence(read.reason));
    const target = {
      origin: rule.origin,
      width: read.width,
      state: read.state,
      nodes: selected.all,
    };
    const edit = declaring(target, read.property, read);
    if (!edit) return;
    const refusal = sync.attempt(edit);
    if (refusal) return setWrong(sentence(refusal.refused));
    done();
  };

  return (
    <div className="declare-line">
      {says ? (
        <span
          className={read.ok || style ? 'declare-says' : 'declare-says quiet'}
          aria-live="polite"
        >
          {says}
        </span>
      ) : null}
      <SuggestField
        ref={field}
        className="declare-field"
        label="Declare line"
        placeholder="pad 24 @600"
        value={line}
        suggestions={optionsFor(documents, line)}
        onType={type}
        // What is suggested is written into the line; the line is declared by Enter where nothing was walked to.
        onChoose={type}
        onEnter={declare}
        onEscape={() => {
          if (line === '') return false;
          done();
          return true;
        }}
      />
      <Wrong words={wrong} />
    </div>
  );
}
