import { BOX, planFile } from '../tests/support/planFiles';

/** A plan of four pours, as a file. */
const file = planFile(
  [{ size: '6 mm' }, { size: '6 mm' }, { size: '6 mm' }, { size: 'rest' }],
  { name: 'Four pours' },
  { ...BOX, id: 'bench-four', name: 'Bench box of four' },
);
process.stdout.write(JSON.stringify(file));
