import { each, isObject, withField } from './fields';

/** A snapshot whose jugs had names only: a jug is known by its name, as it was then. */
export function snapshotWithJugIds(record: unknown): unknown {
  const rules = (value: unknown) => withField(withField(value, 'jugs', withIds), 'scales', withIds);
  return withField(withField(record, 'rules', rules), 'tasks', (tasks) => each(tasks, taskWithJugs));
}

function withIds(list: unknown): unknown {
  return each(list, (thing) => (isObject(thing) && !('id' in thing) ? { id: thing.name, ...thing } : thing));
}

/** What is poured from two jugs at once said both in one text. */
function taskWithJugs(task: unknown): unknown {
  if (!isObject(task) || 'jugs' in task) return task;
  const { jugName, ...rest } = task;
  const names = typeof jugName === 'string' && jugName !== '' ? jugName.split(' and ') : [];
  return { ...rest, jugs: names.map((name) => ({ id: name, name })) };
}
