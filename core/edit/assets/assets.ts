import { Type } from '@sinclair/typebox';
import { AssetDoc } from '../../model';
import { say } from '../../said';
import { exact } from '../args';
import { change } from '../changes';
import { defineEdit, refuse } from '../define';

/** Makes a stored file part of the site. That it is stored is checked by the server, which alone knows. */
export const addAsset = defineEdit({
  args: Type.Object({ asset: AssetDoc }, exact),
  run(documents, { asset }) {
    if (documents.get(asset.id)) return refuse(say('id-taken'), asset.id);
    return [change(asset.id, '', undefined, asset)];
  },
  told: (_, { asset }) => say('added-file', { name: asset.name }),
});
