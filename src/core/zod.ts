import { z } from 'zod';

/** Zod without generated code: the page's Content-Security-Policy forbids `eval`. Import `z` from here only. */
z.config({ jitless: true });

export { z };
