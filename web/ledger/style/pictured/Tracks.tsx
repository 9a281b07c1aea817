import type { ReactNode } from 'react';
import { Plus, X } from 'lucide-react';
import { readTracks, shareOf, writeTracks } from '@sormet/core/style';
import { IconButton } from '../../../parts/IconButton';
import { PartField } from './PartField';
import type { PicturedCell } from './pictured-cell';
import { usePicture } from './use-picture';

/** The tracks of a grid one by one, as wide as their shares; a view of the CSS in the cell. On the canvas their lines are dragged. */
export function Tracks({ cell }: { cell: PicturedCell }): ReactNode {
  const picture = usePicture(cell);
  const tracks = picture.css === undefined ? [] : readTracks(picture.css);
  if (!tracks)
    return picture.css === 'none' ? null : (
      <p className="quiet">How many tracks there are follows from the room.</p>
    );
  const write = (next: readonly string[], part: string) =>
    picture.give(next.length === 0 ? '' : picture.words(writeTracks(next)), part);
  return (
    <div className="tracks" role="group" aria-label="Tracks">
      {tracks.map((track, i) => (
        <span key={i} className="track" style={{ flexGrow: shareOf(track) ?? 1 }}>
          <PartField
            label={`track ${i + 1}`}
            shown={null}
            stored={picture.words(track)}
            give={(typed) =>
              typed === ''
                ? write(
                    tracks.filter((_, other) => other !== i),
                    `without ${i}`,
                  )
                : write(
                    tracks.map((was, other) => (other === i ? typed : was)),
                    `${i}`,
                  )
            }
          />
          <IconButton
            icon={X}
            name={`Take track ${i + 1} away`}
            onPress={() =>
              write(
                tracks.filter((_, other) => other !== i),
                `without ${i}`,
              )
            }
          />
        </span>
      ))}
      <IconButton
        icon={Plus}
        name="Add a track"
        onPress={() => write([...tracks, tracks.at(-1) ?? '1fr'], `with ${tracks.length}`)}
      />
    </div>
  );
}
