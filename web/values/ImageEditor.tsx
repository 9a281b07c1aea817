import type { ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, assetPath } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { askForFile } from '../parts/ask-for-file';
import type { EditorProps } from './editor-props';
import { usePictures } from './use-pictures';

/** The pictures that can be brought in. */
const PICTURES = 'image/svg+xml,image/png,image/jpeg,image/webp,image/gif';

/** A picture of the site, chosen by name, or a file that is brought in. */
export function ImageEditor({ value, label, onChange, placeholder, open }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const bringing = usePictures();
  const given = value?.type === 'image' ? value.value : null;
  const asset = given?.asset;
  // What is said of a picture is said of that picture; when it is loaded stays with the place.
  const lazy = given?.lazy ? { lazy: true as const } : {};
  const pictures = allOf(documents, 'asset').filter(({ mediaType }) =>
    mediaType.startsWith('image/'),
  );
  const bringIn = async (chosen: File) => {
    const [asset] = await bringing.bringIn([chosen]);
    if (asset) onChange({ type: 'image', value: { asset: asset.id, ...lazy } }, null);
  };
  const ask = () => askForFile(PICTURES, (chosen) => void bringIn(chosen));
  return (
    <Select
      size="small"
      variant="borderless"
      showSearch={{ optionFilterProp: 'name' }}
      aria-label={label}
      defaultOpen={open ?? false}
      value={asset}
      placeholder={placeholder ?? ' '}
      options={[
        { value: 'upload', label: 'Bring in a picture …', name: '' },
        ...pictures.map((picture) => ({
          value: picture.id,
          name: picture.name,
          label: (
            <span className="value-words">
              <img src={assetPath(picture)} alt="" className="value-picture" />
              {picture.name}
            </span>
          ),
        })),
      ]}
      // Told of what is chosen again, too: bringing in is not a value that stays.
      onSelect={(chosen: string) => {
        if (chosen === 'upload') ask();
        else if (chosen !== asset)
          onChange({ type: 'image', value: { asset: chosen, ...lazy } }, null);
      }}
    />
  );
}
