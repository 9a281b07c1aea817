import { Type } from '@sinclair/typebox';
import { AssetDoc } from '../../model';
import { exact } from '../args';
import { change } from '../changes';
import { defineEdit, refuse } from '../define';

export const addAsset = defineEdit({
  args: Type.Object({ asset: AssetDoc }, exact),
  run(documents, { asset }) {
    if (documents.get(asset.id))
      return refuse('A document with this id is there already.', asset.id);
    return [change(asset.id, '', undefined, asset)];
  },
  says: (_, { asset }) => `added the file ${asset.name}`,
});
