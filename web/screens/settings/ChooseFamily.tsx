import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import type { Documents } from '@sormet/core/model';
import type { OpenFamily } from '@sormet/core/api';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useSync } from '../../site/SiteProvider';
import { familiesOf } from './font-families';
import { takeFamilyIn } from './take-fonts-in';
import { UseFor } from './UseFor';

/** What a generic family is called. */
const KINDS: Readonly<Record<OpenFamily['generic'], string>> = {
  serif: 'with serifs',
  'sans-serif': 'without serifs',
  monospace: 'letters of one width',
  cursive: 'as by hand',
};

/** The open families that ship with the program, each drawn as it looks, taken in with a press. */
export function ChooseFamily({
  documents,
  families,
  open,
  onClose,
}: {
  documents: Documents;
  families: readonly OpenFamily[];
  open: boolean;
  onClose: () => void;
}): ReactNode {
  const sync = useSync();
  const [taking, setTaking] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const there = new Set(familiesOf(documents).map(({ name }) => name.toLowerCase()));
  const take = async (family: OpenFamily) => {
    setTaking(family.family);
    try {
      setWrong(await takeFamilyIn(sync, documents, family));
    } catch (error) {
      setWrong((error as Error).message);
    } finally {
      setTaking(null);
    }
  };
  return (
    <Dialog
      open={open}
      title="Fonts that ship with Sormet"
      width={680}
      footer={null}
      onCancel={onClose}
    >
      <style>{families.map(faceOf).join('')}</style>
      <p className="quiet">
        All weights, in Latin letters; free to use (SIL Open Font License). A page loads those that
        it is set in, and no others.
      </p>
      <ul className="families">
        {families.map((family) => (
          <li key={family.family}>
            <span className="family-drawn" style={{ fontFamily: drawnAs(family) }}>
              {family.family}
            </span>
            <span className="quiet">{KINDS[family.generic]}</span>
            {there.has(family.family.toLowerCase()) ? (
              <span className="family-there">
                here <UseFor documents={documents} {...family} />
              </span>
            ) : (
              <Button
                size="small"
                aria-label={`Take it in: ${family.family}`}
                loading={taking === family.family}
                disabled={taking !== null}
                onClick={() => void take(family)}
              >
                Take it in
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}

const drawnAs = ({ faces }: OpenFamily) => `open-font-${faces[0]?.file}`;

function faceOf(family: OpenFamily): string {
  const { file, range } = family.faces[0]!;
  return `@font-face{font-family:${drawnAs(family)};src:url("/api/fonts/${file}") format("woff2");unicode-range:${range}}`;
}
