import type { ReactNode } from 'react';
import { isRefusal, runEdit } from '@sormet/core/edit';
import { cascade, longhandsOf, type AppliedBlock, type Width } from '@sormet/core/style';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { benchActions } from '../../../store/bench-slice';
import { useAppDispatch } from '../../../store/store';
import { useDraft } from '../../../values/use-draft';
import type { Selected } from '../../use-selected';
import { declaring } from './declaring';
import { ruleKey } from './lit-rule';
import { joined, ownValue } from './own-value';
import type { RuleWords } from './rule-words';

/** What a rule declares for a property at a width, else what shows there and which rule says so. */
export function StyleCell({
  selected,
  rule,
  property,
  width,
  words,
}: {
  selected: Selected;
  rule: AppliedBlock;
  property: string;
  width: Width;
  words: RuleWords;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const site = documents.site;
  const own = ownValue(rule, property, width);
  const { origin } = rule;
  const target = `${ruleKey(origin)} ${property} ${width}`;
  const { draft, wrong, type, commit, drop } = useDraft(
    target,
    own ?? '',
    (css) => {
      const edit = declaring(origin, property, width, css);
      const tried = runEdit(documents, edit);
      if (isRefusal(tried)) return tried.refused;
      sync.edit(edit);
      return '';
    },
    (css, reason) => dispatch(benchActions.notice(`“${css}” was not kept. ${reason}`)),
  );
  const names = longhandsOf(property) ?? [property];
  const applied = names.map((name) => cascade(selected.rules, name, width, site)[0]);
  const winner = applied.find(Boolean);
  const elsewhere =
    own === undefined && winner && winner.width === width
      ? {
          css: joined(
            property,
            applied.map((each) => each?.declared.css),
          ),
          origin: winner.origin,
        }
      : undefined;
  const loses =
    own !== undefined && winner && ruleKey(winner.origin) !== ruleKey(rule.origin)
      ? winner.origin
      : undefined;

  const color = own ?? elsewhere?.css;
  const swatch =
    /color$/.test(property) && color && /^(#|rgb|hsl|[a-z]+$)/.test(color) ? color : undefined;
  return (
    <td className={`cell style ${own !== undefined ? 'wins' : ''} ${wrong ? 'is-wrong' : ''}`}>
      <span className="style-cell">
        {swatch && draft === null ? (
          <span className="swatch" style={{ background: swatch }} aria-hidden />
        ) : null}
        <input
          className="plain-field"
          aria-label={`${property}, ${width === 'base' ? 'base' : `${site.widths[width]?.max} and below`}`}
          value={draft ?? own ?? ''}
          placeholder={elsewhere?.css ?? ''}
          aria-invalid={wrong !== ''}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') drop();
          }}
        />
        {elsewhere && draft === null ? (
          <span className="origin">{words.word(elsewhere.origin)}</span>
        ) : null}
        {loses && draft === null ? (
          <span className="origin loses">loses to {words.word(loses)}</span>
        ) : null}
      </span>
      {wrong ? (
        <span className="cell-error" role="alert">
          {wrong}
        </span>
      ) : null}
    </td>
  );
}
