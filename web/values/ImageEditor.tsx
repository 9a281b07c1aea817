import type { ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, assetPath } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { usePictures } from './use-pictures';

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
    if (asset !== undefined) onChange({ type: 'image', value: { asset, ...lazy } }, null);
  };
  // The field is made when it is needed: while somebody chooses a file, the cell may have gone back to rest.
  const ask = () => {
    const field = document.createElement('input');
    field.type = 'file';
    field.accept = 'image/svg+xml,image/png,image/jpeg,image/webp,image/gif';
    field.addEventListener('change', () => {
      const chosen = field.files?.[0];
      if (chosen) void bringIn(chosen);
    });
    field.click();
  };
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
