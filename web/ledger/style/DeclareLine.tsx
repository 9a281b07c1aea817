import { useEffect, useRef, useState, type ReactNode } from 'react';
import { docOf, own, type State } from '@sormet/core/model';
import {
  lineParts,
  propertiesFor,
  readLine,
  splitAtSpaces,
  stylesInOrder,
  type AppliedBlock,
  type Width,
} from '@sormet/core/style';
import { useDerived, useSync } from '../../site/SiteProvider';
import { SuggestField, type Suggestion } from '../../parts/SuggestField';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { sentence } from '../../words';
import type { Selected } from '../use-selected';
import { declaring } from './declaring';
import { offeredValues } from './offered-values';
import type { RuleWords } from './rule-words';
import { stateWord } from './states';

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
  const { tokens } = documents.tokens;
  const { widths } = documents.site;
  const read = readLine(line, { tokens, widths, width, state });
  const style = styleCalled(line);
  const shownAs = read.ok ? shownValue(read.css, read.tokens) : '';
  const where = read.ok
    ? [
        own(widths, read.width) ? `${widths[read.width]!.max} px and below` : '',
        read.state ? stateWord(read.state) : '',
      ].filter(Boolean)
    : [];
  const whom = `${words.word(rule.origin)}: ${words.whom(rule.origin)}`;
  const says = style
    ? `put on ${style.name}`
    : read.ok
      ? `${read.property}: ${shownAs}${where.length > 0 ? ` (${where.join(', ')})` : ''} in ${whom}`
      : line.trim() === ''
        ? ''
        : sentence(read.reason);

  function styleCalled(typed: string) {
    const wanted = typed.trim().toLowerCase();
    const { node } = selected;
    if (selected.address !== undefined) return undefined;
    if (wanted === '' || (node.kind !== 'element' && node.kind !== 'instance')) return undefined;
    return stylesInOrder(documents)
      .flatMap((id) => docOf(documents, 'style', id) ?? [])
      .find(
        ({ name, base }) =>
          name.toLowerCase() === wanted && (base === null || own(node.shared ?? {}, base)),
      );
  }

  function shownValue(css: string, used: Readonly<Record<string, string>>): string {
    return css.replaceAll(/var\(--([a-z][a-z0-9-]*)\)/g, (all, name: string) => {
      const token = own(used, name);
      return token === undefined ? all : (own(tokens, token)?.name ?? all);
    });
  }

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
        suggestions={optionsFor(line)}
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
      {wrong ? (
        <span className="cell-error" role="alert">
          {wrong}
        </span>
      ) : null}
    </div>
  );

  function optionsFor(typed: string): Suggestion[] {
    const { letters, value } = lineParts(typed);
    if (typed.trim() === '') return [];
    const isValue = value !== '' || /\s$/.test(typed);
    if (!isValue) {
      const styles = stylesInOrder(documents)
        .flatMap((id) => docOf(documents, 'style', id) ?? [])
        .filter(({ name }) => name.toLowerCase().includes(letters.toLowerCase()))
        .map(({ name }) => ({ value: name, label: `${name} · shared style` }));
      const properties = propertiesFor(letters)
        .slice(0, 8)
        .map((name) => ({ value: `${name} `, label: name }));
      return [...properties, ...styles.slice(0, 4)];
    }
    const [property] = propertiesFor(letters);
    if (property === undefined) return [];
    const open = /\s$/.test(typed) ? '' : (splitAtSpaces(value).at(-1) ?? '').toLowerCase();
    const kept = open === '' ? typed : typed.slice(0, typed.length - open.length);
    return offeredValues(property, tokens)
      .filter((offer) => offer.value.toLowerCase().includes(open) && offer.value !== open)
      .slice(0, 10)
      .map((offer) => ({
        value: kept + offer.value,
        label: (
          <span className="offer">
            {offer.value} <span className="quiet">{offer.what}</span>
          </span>
        ),
      }));
  }
}
