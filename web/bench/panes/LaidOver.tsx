import type { ReactNode } from 'react';
import type { EntryDoc } from '@sormet/core/model';
import type { Stage } from '../../canvas/stage';
import { Guides } from '../guides/Guides';
import { Handles } from '../handles/Handles';

/** What lies over a canvas at the bench: what things are lined up with, and handles on what is selected. */
export function LaidOver({
  stage,
  entry,
}: {
  stage: Stage;
  entry: EntryDoc | undefined;
}): ReactNode {
  return (
    <>
      <Guides stage={stage} />
      <Handles stage={stage} entry={entry} />
    </>
  );
}
