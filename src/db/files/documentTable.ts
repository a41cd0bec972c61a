import type Database from 'better-sqlite3';
import type { DocumentKind, MaterialDocument } from '../../core/files/document';

interface Row {
  id: string;
  material_id: string;
  hash: string;
  kind: DocumentKind;
  name: string;
  version: string;
  of_day: string;
  added_at: string;
}

/** Documents of materials. One that is taken out stays in the file, and in no list. */
export function documentTable(db: Database.Database) {
  const ofMaterial = db.prepare<[string], Row>(
    `SELECT id, material_id, hash, kind, name, version, of_day, added_at FROM material_documents
     WHERE material_id = ? AND removed_at IS NULL ORDER BY of_day DESC, added_at DESC, id`,
  );
  const add = db.prepare<Row>(
    `INSERT INTO material_documents (id, material_id, hash, kind, name, version, of_day, added_at)
     VALUES (@id, @material_id, @hash, @kind, @name, @version, @of_day, @added_at) ON CONFLICT DO NOTHING`,
  );
  const remove = db.prepare<[string, string, string]>(
    'UPDATE material_documents SET removed_at = ? WHERE id = ? AND material_id = ? AND removed_at IS NULL',
  );
  return {
    /** The newest first. */
    ofMaterial: (materialId: string): MaterialDocument[] =>
      ofMaterial.all(materialId).map(({ material_id, of_day, added_at, ...rest }) => ({
        ...rest,
        ...{ materialId: material_id, ofDay: of_day, addedAt: added_at },
      })),
    add({ materialId, ofDay, addedAt, ...rest }: MaterialDocument): void {
      add.run({ ...rest, material_id: materialId, of_day: ofDay, added_at: addedAt });
    },
    /** False where it is not there. */
    remove: (id: string, materialId: string, at: string): boolean =>
      remove.run(at, id, materialId).changes === 1,
  };
}
