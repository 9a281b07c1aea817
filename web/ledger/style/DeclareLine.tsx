import { useEffect, useRef, useState, type ReactNode } from 'react';
import { boxOf, noEffect } from '@sormet/core/check';
import { newId, type State } from '@sormet/core/model';
import { readLine, type AppliedBlock, type LineDeclares, type Width } from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { SuggestField } from '../../parts/SuggestField';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { sentence } from '../../words';
import type { Selected } from '../use-selected';
import { helperWords, optionsFor, type LineOffer } from './declare-options';
import { declaredWords } from './declared-words';
import { declaring, type Declaring } from './declaring';
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
  const offers = optionsFor({ documents, selected, rule, width, state }, line);
  const [first] = offers;
  // Letters that name nothing else mean what is offered first, where that says something by itself.
  const meant =
    !read.ok && (first?.style || first?.helper)
      ? first
      : offers.find(({ style }) => style?.name.toLowerCase() === line.trim().toLowerCase());
  const also = read.ok ? alsoNeeded(read) : undefined;

  function alsoNeeded({ property, width: at, state: held }: LineDeclares) {
    if (!/^grid-template-(columns|rows)$/.test(property)) return undefined;
    const { built, element } = selected;
    const box = built && element && boxOf(documents, built, element, at, held);
    return box && noEffect(property, box)?.mend;
  }
  const there = `${words.word(rule.origin)}: ${words.whom(rule.origin)}`;
  const says = meant?.style
    ? `put on ${meant.style.name}`
    : meant?.helper
      ? `${helperWords(meant.helper)} in ${there}`
      : read.ok
        ? `${declaredWords(read, documents)}${also ? `, and ${also.property}: ${also.css}` : ''} in ${there}`
        : line.trim() === ''
          ? ''
          : sentence(read.reason);

  const type = (typed: string) => {
    setLine(typed);
    setWrong('');
  };
  const done = () => type('');
  /** Declares all of them as one step, or says why not. */
  const write = (all: readonly (readonly [string, Declaring])[], at: Width, held?: State) => {
    const target = { origin: rule.origin, width: at, state: held, nodes: selected.all };
    const edits = all.flatMap(([property, value]) => declaring(target, property, value));
    if (edits.length === 0) return;
    const refusal = sync.attemptAll(edits, { group: `line ${newId()}` });
    if (refusal) setWrong(sentence(refusal.refused));
    else done();
  };
  const put = ({ style, helper }: LineOffer) => {
    if (helper)
      write(
        helper.declares.map(([property, css]) => [property, { css }]),
        width,
        state,
      );
    if (!style) return;
    const args = { doc: selected.doc.id, nodes: [...selected.all], style: style.id, on: true };
    if (sync.edit({ name: 'wear', args })) done();
  };
  const declare = () => {
    if (line.trim() === '') return;
    if (meant) return put(meant);
    if (!read.ok) return setWrong(sentence(read.reason));
    const needed = also ? ([[also.property, { css: also.css }]] as const) : [];
    write([...needed, [read.property, read]], read.width, read.state);
  };

  return (
    <div className="declare-line">
      {says ? (
        <span
          className={read.ok || meant ? 'declare-says' : 'declare-says quiet'}
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
        suggestions={offers}
        onType={type}
        // What is put on is put on; letters are written into the line, which is declared by Enter.
        onChoose={(value) => {
          const chosen = offers.find((offer) => offer.value === value);
          if (chosen?.style || chosen?.helper) put(chosen);
          else type(value);
        }}
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
