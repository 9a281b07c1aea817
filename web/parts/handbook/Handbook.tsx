import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { IconButton } from '../IconButton';
import { CHAPTERS } from './chapters';
import { ChapterText } from './ChapterText';
import './handbook.css';

/** The handbook beside what one works at: a chapter, and the way to the others. */
export function Handbook(): ReactNode {
  const dispatch = useAppDispatch();
  const at = useApp((state) => state.bench.handbook) ?? '';
  const [key, heading] = at.split('#');
  const chapter = CHAPTERS.find((each) => each.key === key) ?? CHAPTERS[0]!;
  const open = (to: string | null) => dispatch(benchActions.openHandbook(to));
  const index = CHAPTERS.indexOf(chapter);
  return (
    <aside className="handbook" aria-label="Handbook">
      <div className="handbook-head">
        <select
          aria-label="Chapter"
          value={chapter.key}
          onChange={({ target }) => open(target.value)}
        >
          {CHAPTERS.map((each, i) => (
            <option key={each.key} value={each.key}>
              {i + 1}. {each.title}
            </option>
          ))}
        </select>
        <IconButton icon={X} name="Close the handbook" onPress={() => open(null)} />
      </div>
      <div className="handbook-text" tabIndex={0} role="region" aria-label={chapter.title}>
        <ChapterText chapter={chapter} heading={heading} />
        <p className="handbook-foot">
          {index < CHAPTERS.length - 1 ? (
            <button
              type="button"
              className="as-link"
              onClick={() => open(CHAPTERS[index + 1]!.key)}
            >
              Next: {CHAPTERS[index + 1]!.title}
            </button>
          ) : null}
        </p>
      </div>
    </aside>
  );
}
