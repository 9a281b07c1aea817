import { memo, type ReactNode } from 'react';
import { Button, Tooltip } from 'antd';
import { Redo2, Undo2 } from 'lucide-react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Said } from '@sormet/core/said';
import { wasCovered } from '../parts/covering';
import { useApp } from '../store/store';
import { inWords } from '../words';
import { useSync } from './SiteProvider';

/** The last step back, and the same again: wherever something of a site is changed. */
export const Steps = memo(function Steps(): ReactNode {
  const sync = useSync();
  const undoes = useApp((state) => state.site.undo.at(-1)?.said);
  const redoes = useApp((state) => state.site.redo.at(-1)?.said);
  return (
    <>
      <StepButton
        name="Undo"
        said={undoes}
        keys="Ctrl+Z"
        icon={<Undo2 size={16} />}
        onPress={() => sync.undo()}
      />
      <StepButton
        name="Redo"
        said={redoes}
        keys="Ctrl+Shift+Z"
        icon={<Redo2 size={16} />}
        onPress={() => sync.redo()}
      />
    </>
  );
});

/** The keys of both, on screens that have no others; in a field they belong to what is typed there. */
export function useStepKeys(): void {
  const sync = useSync();
  const options = { preventDefault: true, ignoreEventWhen: wasCovered };
  useHotkeys('mod+z', () => sync.undo(), options, [sync]);
  useHotkeys(['mod+shift+z', 'mod+y'], () => sync.redo(), options, [sync]);
}

/** Takes the last step back, or does it again; what that would be is said where it is pointed at. */
function StepButton({
  name,
  said,
  keys,
  icon,
  onPress,
}: {
  name: 'Undo' | 'Redo';
  said: Said | undefined;
  keys: string;
  icon: ReactNode;
  onPress: () => void;
}): ReactNode {
  return (
    <Tooltip
      title={
        said === undefined
          ? `Nothing to ${name.toLowerCase()}`
          : `${name}: ${inWords(said)} (${keys})`
      }
    >
      <Button
        size="small"
        type="text"
        aria-label={name}
        disabled={said === undefined}
        icon={icon}
        onClick={onPress}
      />
    </Tooltip>
  );
}
