import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { readType, type ReadType } from '@sormet/core/format';
import type { Json } from '@sormet/core/model';
import { askForFile } from '../../../parts/ask-for-file';
import { Wrong } from '../../../parts/Wrong';
import { useDerived } from '../../../site/SiteProvider';
import { count, inWords } from '../../../words';

/** The largest schema that is read, in bytes. */
const LARGEST = 2_000_000;
/** How many things that stay out are listed. */
const LISTED = 20;

/** A content type from a JSON Schema: what of it a field cannot be is seen before it is made. */
export function FromSchema({ onMake }: { onMake: (read: ReadType) => void }): ReactNode {
  const { documents } = useDerived();
  const [read, setRead] = useState<ReadType | null>(null);
  const [wrong, setWrong] = useState('');
  const open = async (file: File) => {
    setRead(null);
    setWrong('');
    if (file.size > LARGEST) return setWrong(`${file.name} is larger than 2 MB.`);
    let json: Json;
    try {
      json = JSON.parse(await file.text()) as Json;
    } catch (error) {
      return setWrong(`${file.name} is no JSON: ${(error as Error).message}.`);
    }
    const found = readType(documents, json);
    if (!found) setWrong(`${file.name} is no JSON Schema of an object with properties.`);
    else if (found.left.length === 0) onMake(found);
    else setRead(found);
  };
  return (
    <div className="from-schema">
      <Button
        size="small"
        onClick={() => askForFile('.json,application/schema+json', (file) => void open(file))}
      >
        From a JSON Schema …
      </Button>
      <Wrong as="p" words={wrong} />
      {read ? (
        <section aria-label="What stays out">
          <p>
            {read.type.name} gets {count(Object.keys(read.type.fields).length, 'field')}. This stays
            out:
          </p>
          <ul className="left-list">
            {read.left.slice(0, LISTED).map(({ path, reason }, i) => (
              <li key={i}>
                <code>{path}</code> {inWords(reason)}
              </li>
            ))}
          </ul>
          {read.left.length > LISTED ? <p>and {read.left.length - LISTED} more</p> : null}
          <Button size="small" onClick={() => onMake(read)}>
            Make it without these
          </Button>
        </section>
      ) : null}
    </div>
  );
}
