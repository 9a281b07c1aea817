import { useState } from 'react';
import { allOf } from '@sormet/core/model';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { assetOf } from '../../values/use-pictures';
import { toldWords } from '../../words';

/** Files on their way in, many at once: how many are through, and what is told of some. */
export interface Bringing {
  readonly total: number;
  readonly done: number;
  /** Why some did not come in, and which were there already. */
  readonly told: readonly string[];
  /** @param folder where they come to stand; in none without one */
  readonly bring: (files: readonly File[], folder?: string) => void;
}

/** Brings files in one after another; each is a step of its own, so that those that came stay when one does not. */
export function useBringing(): Bringing {
  const sync = useSync();
  const [total, setTotal] = useState(0);
  const [done, setDone] = useState(0);
  const [told, setTold] = useState<readonly string[]>([]);
  const tell = (words: string) => setTold((before) => [...before, words]);
  const bring = (files: readonly File[], folder = '') => {
    setTold([]);
    setTotal(files.length);
    setDone(0);
    void (async () => {
      for (const [i, file] of files.entries()) {
        try {
          const stored = await api.upload(sync.site, file);
          const same = allOf(sync.state.documents, 'asset').find(
            ({ sha256 }) => sha256 === stored.sha256,
          );
          if (stored.font) tell(`${file.name} is a font: it is brought in in the settings.`);
          else if (same)
            tell(`${file.name} is there already: it is the same file as ${same.name}.`);
          else {
            if (stored.leftOut.length > 0)
              tell(
                `${file.name} came in without what does not draw: ${stored.leftOut.map(toldWords).join(', ')}.`,
              );
            const asset = assetOf(stored);
            const name = folder === '' ? asset.name : `${folder}/${asset.name}`;
            sync.edit({ name: 'addAsset', args: { asset: { ...asset, name } } });
          }
        } catch (error) {
          tell(`${file.name}: ${(error as Error).message}`);
        }
        setDone(i + 1);
      }
      setTotal(0);
    })();
  };
  return { total, done, told, bring };
}
