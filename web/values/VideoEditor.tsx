import type { ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, type VideoValue } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { askForFile } from '../parts/ask-for-file';
import type { EditorProps } from './editor-props';
import { usePictures } from './use-pictures';

/** The films that can be brought in. */
const FILMS = 'video/mp4,video/webm';

/** A film of the site, chosen by name, or a file that is brought in; beside it the still picture that stands for it. */
export function VideoEditor({ value, label, onChange, placeholder, open }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const bringing = usePictures();
  const given: VideoValue | null = value?.type === 'video' ? value.value : null;
  const assets = allOf(documents, 'asset');
  const options = (of: 'video/' | 'image/') =>
    assets
      .filter(({ mediaType }) => mediaType.startsWith(of))
      .map(({ id, name }) => ({ value: id, label: name }));
  const give = (next: VideoValue) => onChange({ type: 'video', value: next }, null);
  // The still picture belongs to the place, as the size of a picture does.
  const choose = (asset: string) => give({ ...given, asset });
  const bringIn = async (chosen: File) => {
    const [asset] = await bringing.bringIn([chosen]);
    if (asset) choose(asset.id);
  };
  return (
    <span className="film-editor">
      <Select
        size="small"
        variant="borderless"
        showSearch={{ optionFilterProp: 'label' }}
        aria-label={label}
        defaultOpen={open ?? false}
        value={given?.asset}
        placeholder={placeholder ?? 'a film'}
        options={[{ value: 'upload', label: 'Bring in a film …' }, ...options('video/')]}
        onSelect={(chosen: string) => {
          if (chosen === 'upload') askForFile(FILMS, (file) => void bringIn(file));
          else if (chosen !== given?.asset) choose(chosen);
        }}
      />
      {given ? (
        <Select
          size="small"
          variant="borderless"
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          aria-label={`${label}, its still picture`}
          value={given.poster ?? null}
          placeholder="a still picture"
          options={options('image/')}
          onChange={(poster: string | null | undefined) =>
            give(poster ? { asset: given.asset, poster } : { asset: given.asset })
          }
        />
      ) : null}
    </span>
  );
}
