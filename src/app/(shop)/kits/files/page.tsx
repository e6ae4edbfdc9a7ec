import type { Metadata } from 'next';
import { COLUMNS, STORE_FILE_NAMES, STORE_FILES } from '@/csv/store-files';
import { theDb } from '@/db/engine/connection';
import { importsSoFar } from '@/db/store/import-file';
import { StoreFiles } from '@/ui/store/store-files';
import { StorePlaces } from '@/ui/store/store-places';

export const metadata: Metadata = { title: 'Import and export' };

export default async function FilesPage() {
  const imports = await importsSoFar(await theDb());
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Kit store</h1>
      <StorePlaces here="files" />
      <StoreFiles
        files={STORE_FILE_NAMES.map((name) => ({ name, words: STORE_FILES[name], columns: COLUMNS[name] }))}
        imports={imports}
        now={Date.now()}
      />
    </div>
  );
}
