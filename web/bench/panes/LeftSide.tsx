import type { ReactNode } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { Outline } from '../Outline';
import { Shelf } from '../Shelf';

/** The left of the bench: the outline of a document, and the shelf below it. */
export function LeftSide({ doc, isPage }: { doc: string; isPage: boolean }): ReactNode {
  return (
    <Group orientation="vertical">
      <Panel id="outline" defaultSize="45%" minSize={80}>
        <div className="left-part">
          <h2>
            Outline <span>{isPage ? 'page' : 'definition'}</span>
          </h2>
          <Outline doc={doc} />
        </div>
      </Panel>
      <Separator className="divider flat" />
      <Panel id="shelf" minSize={80}>
        <div className="left-part">
          <h2>Shelf</h2>
          <Shelf doc={doc} />
        </div>
      </Panel>
    </Group>
  );
}
