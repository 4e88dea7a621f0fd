import { say } from '../words/text';
import { fault, type Fault } from './fault';
import type { Commission, Option } from './schema';
import { BUILD } from './sittingSchema';

/** Sittings of one id, tasks that are said to belong to two, things in a sitting that is not in the brief. */
export function sittingFaults({ brief, options }: Commission): Fault[] {
  const { sittings = [], buildTasks = [] } = brief;
  const known = new Set([BUILD, ...sittings.map((s) => s.id)]);
  return [
    ...ownIds(sittings),
    ...tasksTwice(sittings, buildTasks),
    ...options.flatMap((option, i) => strange(option, known, `options[${i}]`)),
  ];
}

type Sittings = NonNullable<Commission['brief']['sittings']>;

/** The build day has an id of its own among them. */
function ownIds(sittings: Sittings): Fault[] {
  const seen = new Set([BUILD as string]);
  return sittings.flatMap(({ id }, i): Fault[] => {
    const path = `brief.sittings[${i}].id`;
    if (id === BUILD) return [fault(path, 'fault.id.build', { id })];
    if (seen.has(id)) return [fault(path, 'fault.id.twice', { id })];
    seen.add(id);
    return [];
  });
}

function tasksTwice(sittings: Sittings, buildTasks: readonly string[]): Fault[] {
  const seen = new Set<string>();
  const lists = [
    { path: 'brief.buildTasks', tasks: buildTasks },
    ...sittings.map((s, i) => ({ path: `brief.sittings[${i}].tasks`, tasks: s.tasks ?? [] })),
  ];
  return lists.flatMap(({ path, tasks }) =>
    tasks.flatMap((task, i): Fault[] => {
      if (seen.has(task)) return [fault(`${path}[${i}]`, 'fault.task.twice', { task })];
      seen.add(task);
      return [];
    }),
  );
}

function strange(option: Option, known: ReadonlySet<string>, path: string): Fault[] {
  const lists = ['bed', 'pieces', 'joints', 'plants', 'strewn'] as const;
  return lists.flatMap((list) =>
    ((option[list] ?? []) as readonly { sitting?: string }[]).flatMap(
      ({ sitting }, i): Fault[] =>
      sitting === undefined || known.has(sitting)
        ? []
        : [fault(`${path}.${list}[${i}].sitting`, 'fault.unknown.id', { id: sitting, allowed: say('id.of.sitting') })], // prettier-ignore
    ),
  );
}
