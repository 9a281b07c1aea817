import { useState, type ReactNode } from 'react';
import type { EntryDoc, TreeDoc } from '@sormet/core/model';
import { Canvas, UNDRAWN } from '../../canvas/Canvas';
import { HeldHere } from '../states/HeldHere';
import { GuidesButton } from '../guides/GuidesButton';
import { Axes } from '../variants/Axes';
import { LaidOver } from './LaidOver';
import { DefinitionHead } from './DefinitionHead';
import { EmptyPage } from './EmptyPage';
import { HeldTheme } from './HeldTheme';
import { WholeButton } from './WholeButton';
import { ZoomField } from './ZoomField';

/** The page or definition that was opened, drawn. */
export function OpenPane({ doc, entry }: { doc: TreeDoc; entry: EntryDoc | undefined }): ReactNode {
  const [drawn, setDrawn] = useState(UNDRAWN);
  const [width, setWidth] = useState<number | null>(null);
  const kind = doc.kind === 'page' ? 'page' : 'definition';
  return (
    <div className={`pane pane-${kind}`}>
      {doc.kind === 'page' ? (
        <div className="pane-head">
          <WholeButton doc={doc.id}>Page</WholeButton>
          <HeldHere doc={doc.id} />
          <span className="quiet">
            <HeldTheme /> <ZoomField kind="page" scale={drawn.scale} />
          </span>
          <GuidesButton doc={doc.id} />
        </div>
      ) : (
        <DefinitionHead definition={doc} drawn={drawn} chosen={width} onChoose={setWidth} />
      )}
      {doc.kind === 'page' ? <EmptyPage page={doc} /> : <Axes definition={doc} isAlone />}
      <Canvas
        key={doc.id}
        doc={doc.id}
        entry={entry}
        kind={kind}
        drawnAt={width}
        onDrawn={setDrawn}
        over={LaidOver}
      />
    </div>
  );
}
