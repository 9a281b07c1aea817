import type { ReactNode } from 'react';
import { Select } from 'antd';
import { allOf, assetPath, FORMAT, newId, type AssetDoc } from '@sormet/core/model';
import type { FileAnswer } from '@sormet/core/api';
import { api } from '../site/api';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { siteActions } from '../store/site-slice';
import { useAppDispatch } from '../store/store';
import type { EditorProps } from './editor-props';

/** A picture of the site, chosen by name, or a file that is brought in. */
export function ImageEditor({ value, label, onChange, placeholder, open }: EditorProps): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const asset = value?.type === 'image' ? value.value?.asset : undefined;
  const pictures = allOf(documents, 'asset').filter(({ mediaType }) =>
    mediaType.startsWith('image/'),
  );
  const bringIn = async (chosen: File) => {
    try {
      const stored = await api.upload(sync.site, chosen);
      const doc = assetOf(stored);
      if (stored.leftOut.length > 0)
        dispatch(
          benchActions.notice(
            `${stored.name} was brought in without what does not draw: ${stored.leftOut.join(', ')}.`,
          ),
        );
      if (sync.edit({ name: 'addAsset', args: { asset: doc } }))
        onChange({ type: 'image', value: { asset: doc.id } }, null);
    } catch (error) {
      dispatch(siteActions.refused((error as Error).message));
    }
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
        else onChange({ type: 'image', value: { asset: chosen } }, null);
      }}
    />
  );
}

function assetOf({ sha256, mediaType, name, width, height }: FileAnswer): AssetDoc {
  return {
    id: newId(),
    kind: 'asset',
    format: FORMAT,
    name,
    sha256,
    mediaType: mediaType as AssetDoc['mediaType'],
    width,
    height,
  };
}
