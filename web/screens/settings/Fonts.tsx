import { useState, type ReactNode } from 'react';
import { Button, Popconfirm } from 'antd';
import { assetPath, docOf, newId, type Documents, type Font } from '@sormet/core/model';
import { askForFile } from '../../parts/ask-for-file';
import { Wrong } from '../../parts/Wrong';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { assetOf } from '../../values/use-pictures';
import { count, refusalWords } from '../../words';

/** The faces of fonts that a site ships with, by family; one comes in as a file of one's own. */
export function Fonts({ documents }: { documents: Documents }): ReactNode {
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const { fonts } = documents.site;
  const faces = Object.entries(fonts).sort(
    ([a, one], [b, other]) =>
      one.family.localeCompare(other.family) ||
      parseInt(one.weight, 10) - parseInt(other.weight, 10) ||
      (a < b ? -1 : 1),
  );
  const bringIn = async (file: File) => {
    setWrong('');
    try {
      const stored = await api.upload(sync.site, file);
      const { font } = stored;
      if (!font) return setWrong(`“${stored.name}” is no font. Fonts come in as WOFF2.`);
      const asset = assetOf(stored);
      setWrong(
        refusalWords(
          sync.attemptAll(
            [
              { name: 'addAsset', args: { asset } },
              { name: 'addFont', args: { id: newId(), font: { ...font, asset: asset.id } } },
            ],
            { group: `font ${newId()}` },
          ),
        ),
      );
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  return (
    <div className="fonts">
      {/* Shown as it looks: the interface loads the faces of this site for it. */}
      <style>{faces.map(([id, font]) => faceOf(documents, id, font)).join('')}</style>
      <ul>
        {faces.map(([id, font]) => (
          <li key={id} className="width-line">
            <span className="font-drawn" style={{ fontFamily: drawnAs(id) }}>
              {font.family}
            </span>
            <span className="quiet">
              {weightWords(font.weight)}
              {font.style === 'italic' ? ', italic' : ''}
            </span>
            <Popconfirm
              title={`Take ${font.family}, ${weightWords(font.weight)}, away?`}
              description={usedWords(documents, font)}
              okText="Take it away"
              cancelText="Keep it"
              onConfirm={() => sync.edit({ name: 'removeFont', args: { id } })}
            >
              <button
                type="button"
                className="as-link"
                aria-label={`Take away ${font.family}, ${weightWords(font.weight)}${font.style === 'italic' ? ', italic' : ''}`}
              >
                take away
              </button>
            </Popconfirm>
          </li>
        ))}
      </ul>
      <Button
        size="small"
        onClick={() => askForFile('.woff2,font/woff2', (file) => void bringIn(file))}
      >
        Bring a font in …
      </Button>{' '}
      <span className="quiet">a WOFF2 file; a page loads those it is set in, and no others</span>
      <Wrong as="p" words={wrong} />
    </div>
  );
}

/** A face under a name of its own, so that nothing of the interface is set in it. */
const drawnAs = (id: string) => `site-font-${id}`;

function faceOf(documents: Documents, id: string, { asset, weight, style }: Font): string {
  const file = docOf(documents, 'asset', asset);
  return file
    ? `@font-face{font-family:${drawnAs(id)};src:url("${assetPath(file)}") format("woff2");font-weight:${weight};font-style:${style}}`
    : '';
}

/** Weights in words: one, or from which to which. */
function weightWords(weight: string): string {
  const [least, most] = weight.split(' ');
  return most === undefined ? `weight ${least}` : `weights ${least} to ${most}`;
}

/** In how many tokens, tags and styles a family is named, before it goes. */
function usedWords(documents: Documents, { family }: Font): string {
  const name = family.toLowerCase();
  let places = 0;
  for (const doc of documents)
    if (['tokens', 'tags', 'style', 'page', 'component'].includes(doc.kind))
      places += JSON.stringify(doc).toLowerCase().split(name).length - 1;
  return places === 0
    ? 'Nothing names this family.'
    : `${count(places, 'place')} ${places === 1 ? 'names' : 'name'} this family; without a face of it, what comes next in the list is shown. Undo brings it back.`;
}
