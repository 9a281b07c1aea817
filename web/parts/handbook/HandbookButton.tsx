import type { ReactNode } from 'react';
import { Button, Tooltip } from 'antd';
import { BookOpen } from 'lucide-react';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';

/** Opens the handbook at what a screen is for, or closes it. */
export function HandbookButton({ at }: { at: string }): ReactNode {
  const dispatch = useAppDispatch();
  const isOpen = useApp((state) => state.bench.handbook !== null);
  return (
    <Tooltip title="Handbook">
      <Button
        type="text"
        aria-label="Handbook"
        aria-pressed={isOpen}
        icon={<BookOpen size={16} aria-hidden />}
        onClick={() => dispatch(benchActions.openHandbook(isOpen ? null : at))}
      />
    </Tooltip>
  );
}
