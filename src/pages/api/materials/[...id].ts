import { materialSchema, newMaterialSchema } from '../../../core/materials/materialSchema';
import { checkBlends } from '../../../server/importShelf';
import { allowMaterial, deleteMaterial } from '../../../server/materials';
import { recordEndpoints } from '../../../server/recordEndpoints';

export const { GET, POST, PUT, DELETE } = recordEndpoints({
  what: 'material',
  table: ({ materials }) => materials,
  schema: materialSchema,
  newSchema: newMaterialSchema,
  check: checkBlends,
  allow: allowMaterial,
  remove: deleteMaterial,
});
