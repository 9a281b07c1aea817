import { useState, type ReactNode } from 'react';
import type { EditorProps } from './editor-props';
import { usePictures } from './use-pictures';

/** A cell of a picture or a film that takes a file dropped onto it; what is of another kind is refused by the server with its reason. */
export function FileDrop({
  type,
  value,
  onChange,
  children,
}: EditorProps & { children: ReactNode }): ReactNode {
  const [over, setOver] = useState(false);
  const pictures = usePictures();
  const take = async (file: File) => {
    const [asset] = await pictures.bringIn([file]);
    if (!asset) return;
    const isFilm = asset.mediaType.startsWith('video/');
    if (type.kind === 'video' && isFilm) {
      const given = value?.type === 'video' ? value.value : null;
      onChange({ type: 'video', value: { ...given, asset: asset.id } }, null);
    } else if (type.kind === 'image' && !isFilm) {
      const given = value?.type === 'image' ? value.value : null;
      const lazy = given?.lazy ? { lazy: true as const } : {};
      onChange({ type: 'image', value: { asset: asset.id, ...lazy } }, null);
    } else pictures.refuse(isFilm ? 'A picture is wanted here.' : 'A film is wanted here.');
  };
  return (
    <div
      className={over ? 'file-drop over' : 'file-drop'}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (!file) return;
        event.preventDefault();
        void take(file);
      }}
    >
      {children}
    </div>
  );
}
