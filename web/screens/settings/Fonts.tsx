import { useEffect, useState, type ReactNode } from 'react';
import { Button, Popconfirm } from 'antd';
import { assetPath, docOf, newId, type Documents, type Font } from '@sormet/core/model';
import type { OpenFamily } from '@sormet/core/api';
import { askForFile } from '../../parts/ask-for-file';
import { Wrong } from '../../parts/Wrong';
import { api } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { count } from '../../words';
import { ChooseFamily } from './ChooseFamily';
import { facesWords, familiesOf, placesNaming, weightWords, type Family } from './font-families';
import { takeFileIn } from './take-fonts-in';
import { UseFor } from './UseFor';

/** The families of fonts that a site ships with; more come in from those of the program, or as files of one's own. */
export function Fonts({ documents }: { documents: Documents }): ReactNode {
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const [choosing, setChoosing] = useState(false);
  const [open, setOpen] = useState<readonly OpenFamily[]>([]);
  useEffect(() => {
    let isOver = false;
    api.openFamilies().then(
      (families) => isOver || setOpen(families),
      (error: Error) => isOver || setWrong(error.message),
    );
    return () => {
      isOver = true;
    };
  }, []);
  const bringIn = async (file: File) => {
    try {
      setWrong(await takeFileIn(sync, documents, file));
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  const families = familiesOf(documents);
  return (
    <div className="fonts">
      {/* Shown as they look: the interface loads the faces of this site for it. */}
      <style>{families.map(({ faces }) => faceOf(documents, ...faces[0]!)).join('')}</style>
      <ul>
        {families.map((family) => (
          <FamilyLine
            key={family.name}
            documents={documents}
            family={family}
            generic={open.find(({ family: name }) => name === family.name)?.generic}
          />
        ))}
      </ul>
      <Button size="small" onClick={() => setChoosing(true)}>
        Choose a font …
      </Button>{' '}
      <Button
        size="small"
        onClick={() => askForFile('.woff2,font/woff2', (file) => void bringIn(file))}
      >
        Bring a font in …
      </Button>{' '}
      <span className="quiet">a WOFF2 file; a page loads those it is set in, and no others</span>
      <Wrong as="p" words={wrong} />
      <ChooseFamily
        documents={documents}
        families={open}
        open={choosing}
        onClose={() => setChoosing(false)}
      />
    </div>
  );
}

/** A family: how it looks, what there is of it, where it is used, and its faces one by one where there are several files. */
function FamilyLine({
  documents,
  family,
  generic,
}: {
  documents: Documents;
  family: Family;
  generic: string | undefined;
}): ReactNode {
  const { name, faces } = family;
  return (
    <li>
      <div className="width-line">
        <span className="font-drawn" style={{ fontFamily: drawnAs(faces[0]![0]) }}>
          {name}
        </span>
        <TakeAway documents={documents} what={name} family={name} faces={faces} />
      </div>
      <div className="family-said">
        <span className="quiet">{facesWords(family)}</span>{' '}
        <UseFor documents={documents} family={name} generic={generic} />
      </div>
      {faces.length > 1 ? (
        <details>
          <summary className="quiet">{count(faces.length, 'file')}</summary>
          <ul>
            {faces.map((face) => (
              <li key={face[0]} className="width-line">
                <span className="quiet">{docOf(documents, 'asset', face[1].asset)?.name}</span>
                <TakeAway
                  documents={documents}
                  what={`${name}, ${faceWords(face[1])}, ${docOf(documents, 'asset', face[1].asset)?.name ?? ''}`}
                  family={name}
                  faces={[face]}
                />
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </li>
  );
}

/** Takes faces of a family away as one step, when it has been said what names the family. */
function TakeAway({
  documents,
  what,
  family,
  faces,
}: {
  documents: Documents;
  what: string;
  family: string;
  faces: Family['faces'];
}): ReactNode {
  const sync = useSync();
  return (
    <Popconfirm
      title={`Take ${what} away?`}
      description={() => usedWords(documents, family)}
      okText="Take it away"
      cancelText="Keep it"
      onConfirm={() => {
        sync.attemptAll(
          faces.map(([id]) => ({ name: 'removeFont', args: { id } })),
          { group: `font ${newId()}` },
        );
      }}
    >
      <button type="button" className="as-link" aria-label={`take away: ${what}`}>
        take away
      </button>
    </Popconfirm>
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

function faceWords({ weight, style }: Font): string {
  return `${weightWords(weight)}${style === 'italic' ? ', italic' : ''}`;
}

function usedWords(documents: Documents, family: string): string {
  const places = placesNaming(documents, family);
  return places === 0
    ? 'Nothing names this family.'
    : `${count(places, 'place')} ${places === 1 ? 'names' : 'name'} this family; without its faces, what comes next in the list is shown. Undo brings it back.`;
}
