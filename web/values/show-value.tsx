import type { ReactNode } from 'react';
import { assetPath, docOf, type Documents, type TypeSpec } from '@sormet/core/model';
import type { Known } from '@sormet/core/value';
import { valueWords } from '../words';
import './values.css';

/** A value as a cell shows it: pictures small, before their name. */
export function ShowValue({
  documents,
  value,
  type,
}: {
  documents: Documents;
  value: Known | undefined;
  /** What it is read as, where that is known. */
  type?: TypeSpec;
}): ReactNode {
  const words = valueWords(documents, value, type);
  const asset =
    value?.type === 'image' && value.value
      ? docOf(documents, 'asset', value.value.asset)
      : undefined;
  const empty = words === 'nothing' || words === 'hides the element';
  return (
    <span className={empty ? 'value-words quiet' : 'value-words'} title={words}>
      {asset ? <img src={assetPath(asset)} alt="" className="value-picture" /> : null}
      {words}
    </span>
  );
}
