import { say } from '../words/text';
import { fault, type Fault } from './fault';
import type { Commission } from './schema';

/** Scapes broken down elsewhere that share an id, and things out of one that is not in the brief. */
export function brokenDownFaults({ brief, options, site }: Commission): Fault[] {
  const known = new Set<string>();
  const twice = (brief.brokenDown ?? []).flatMap(({ id }, i): Fault[] => {
    if (known.has(id)) return [fault(`brief.brokenDown[${i}].id`, 'fault.id.twice', { id })];
    known.add(id);
    return [];
  });
  const strange = (list: readonly { from?: string }[] | undefined, path: string): Fault[] =>
    (list ?? []).flatMap(({ from }, i): Fault[] =>
      from === undefined || known.has(from)
        ? []
        : [fault(`${path}[${i}].from`, 'fault.unknown.id', { id: from, allowed: say('id.of.brokenDown') })],
    );
  return [
    ...twice,
    ...(['bed', 'pieces', 'plants'] as const).flatMap((of) =>
      options.flatMap((option, i) => strange(option[of], `options[${i}].${of}`)),
    ),
    ...strange(site?.devices, 'site.devices'),
    ...strange(brief.livestock, 'brief.livestock'),
  ];
}
