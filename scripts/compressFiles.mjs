import { readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { filesBelow } from './files.mjs';

const TEXT = ['.js', '.css', '.svg', '.json', '.txt'];
/** Below this the headers weigh more than what is saved. */
const LEAST_BYTES = 500;

/**
 * Puts a compressed twin beside each text file of a build, so that no request has to wait for it.
 *
 * @param {string} folder
 */
export function compressFiles(folder) {
  for (const ending of TEXT)
    for (const path of filesBelow([folder], ending)) {
      const bytes = readFileSync(path);
      if (bytes.length < LEAST_BYTES) continue;
      writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
      const size = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length };
      writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: size }));
    }
}
