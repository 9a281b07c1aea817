import type { ReactNode } from 'react';
import { Unlink } from 'lucide-react';
import type { Source, TreeDoc } from '@sormet/core/model';
import { IconButton } from '../parts/IconButton';
import { useDerived } from '../site/SiteProvider';
import { sourceWords } from '../values/source-words';

/** That a value says whether something begins with an item of a list, and with what; it can be let go. */
export function WhereItBegins({
  label,
  doc,
  source,
  onRelease,
}: {
  label: string;
  doc: TreeDoc;
  source: Extract<Source, { is: 'begins' }>;
  onRelease: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const words = sourceWords(documents, doc, source);
  return (
    <span className="worked-out" title={words}>
      <span className="cell-words quiet">{words}</span>
      <IconButton
        icon={Unlink}
        name={`${label}: at every item`}
        title="At every item"
        onPress={onRelease}
      />
    </span>
  );
}
