import { memo, type ReactNode } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { Columns2, Rows2 } from 'lucide-react';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { IconButton } from '../../parts/IconButton';
import { Outline } from '../outline/Outline';
import { useLayout } from './use-layout';
import { Shelf } from '../shelf/Shelf';

/** The left of the bench: the outline of a document, and the shelf below it. */
export const LeftSide = memo(function LeftSide({
  doc,
  isPage,
}: {
  doc: string;
  isPage: boolean;
}): ReactNode {
  const { left: isBeside } = useLayout();
  const dispatch = useAppDispatch();
  return (
    <Group key={String(isBeside)} orientation={isBeside ? 'horizontal' : 'vertical'}>
      <Panel id="outline" defaultSize={isBeside ? '50%' : '45%'} minSize={80}>
        <div className="left-part">
          <h2>
            Outline <span>{isPage ? 'page' : 'definition'}</span>
          </h2>
          <Outline doc={doc} />
        </div>
      </Panel>
      <Separator className={isBeside ? 'divider' : 'divider flat'} />
      <Panel id="shelf" minSize={80}>
        <div className="left-part">
          <h2>
            Shelf
            <IconButton
              icon={isBeside ? Rows2 : Columns2}
              name={isBeside ? 'Outline above the shelf' : 'Outline and shelf side by side'}
              title={isBeside ? 'Outline above the shelf' : 'Outline and shelf side by side'}
              onPress={() => dispatch(benchActions.layOut({ left: !isBeside }))}
            />
          </h2>
          <Shelf doc={doc} />
        </div>
      </Panel>
    </Group>
  );
});
