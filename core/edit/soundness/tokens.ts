import {
  own,
  pointer,
  type Declared,
  type Documents,
  type Finding,
  type TokensDoc,
} from '../../model';
import { sameSaid, say } from '../../said';
import { tokenReason } from '../../style';
import { blocksOf } from './blocks';

/** What is not sound about tokens and themes: values that are none of their type, and tokens made from themselves. */
export function tokensFindings(doc: TokensDoc): Finding[] {
  const findings: Finding[] = [];
  const look = (where: string[], id: string, value: Declared) => {
    const token = own(doc.tokens, id);
    const reason = token ? tokenReason({ type: token.type, value }) : say('no-such-token');
    if (reason !== undefined) findings.push({ path: pointer(...where), reason });
    for (const ref of Object.values(value.refs ?? {}))
      if (!('token' in ref))
        findings.push({ path: pointer(...where), reason: say('token-reads-source') });
      else if (!own(doc.tokens, ref.token))
        findings.push({ path: pointer(...where), reason: say('no-token') });
  };
  for (const id in doc.tokens) look(['tokens', id, 'value'], id, doc.tokens[id]!.value);
  for (const [theme, { values }] of Object.entries(doc.themes ?? {}))
    for (const id in values) look(['themes', theme, 'values', id], id, values[id]!);
  return [...findings, ...cycles(doc)];
}

/** Tokens that lead back to themselves, with the way: in what they are, or in what a theme makes them. */
function cycles(doc: TokensDoc): Finding[] {
  const findings: Finding[] = [];
  const settings = [
    { where: (id: string) => ['tokens', id, 'value'], values: {} },
    ...Object.entries(doc.themes ?? {}).map(([theme, { values }]) => ({
      where: (id: string) =>
        own(values, id) ? ['themes', theme, 'values', id] : ['tokens', id, 'value'],
      values,
    })),
  ];
  for (const { where, values } of settings) {
    const settled = new Set<string>();
    const visit = (id: string, way: readonly string[]): void => {
      const at = way.indexOf(id);
      if (at >= 0) {
        const names = [...way.slice(at), id].map((each) => own(doc.tokens, each)?.name ?? each);
        const reason = say('token-of-itself', { token: names[0]!, way: names });
        const path = pointer(...where(way.at(-1)!));
        if (!findings.some((each) => each.path === path && sameSaid(each.reason, reason)))
          findings.push({ path, reason });
        return;
      }
      if (settled.has(id)) return;
      const value: Declared | undefined =
        own(values as Record<string, Declared>, id) ?? own(doc.tokens, id)?.value;
      for (const ref of Object.values(value?.refs ?? {}))
        if ('token' in ref) visit(ref.token, [...way, id]);
      settled.add(id);
    };
    for (const id in doc.tokens) visit(id, []);
  }
  return findings;
}

/** Where a site declares something with the help of a token that is among these. */
export function declaredWith(
  documents: Documents,
  tokens: ReadonlySet<string>,
): { readonly doc: string; readonly where: readonly string[] }[] {
  const found: { doc: string; where: readonly string[] }[] = [];
  for (const doc of documents)
    for (const { where, block } of blocksOf(doc))
      for (const key in block)
        for (const ref of Object.values(block[key]!.refs ?? {}))
          if ('token' in ref && tokens.has(ref.token))
            found.push({ doc: doc.id, where: [...where, key] });
  return found;
}
