import { releaseCheck } from './releaseCheck';

/** A material its supplier does not release for skin. */
export const notForSkin = releaseCheck({
  code: 'not-for-skin',
  refuses: ({ skin }) => skin === 'not-released',
});
