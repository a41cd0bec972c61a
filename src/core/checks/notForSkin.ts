import { releaseCheck } from './releaseCheck';

/** A material its supplier does not release for skin. */
export const notForSkin = releaseCheck({
  code: 'not-for-skin',
  refuses: ({ skin }) => skin === 'not-released',
  title: (name) => `${name} is not released for skin`,
  reason: 'Its supplier releases it for other uses only. It must not go into soap, however little.',
});
