import { isRubble } from '../../core/commission/rubble';
import { STREWN_KINDS, type Material, type Strewn } from '../../core/commission/schema';
import { strewnChanged, strewnFresh, withoutStrewn } from '../../core/edits/strewn';
import { computed } from 'vue';
import { useCommission } from './commissionStore';
import { optionWith, useMaterials } from './materials';

type StrewnKind = 'stone' | 'grain';

/** What is strewn by hand: each edit of it can be undone. */
export function useStrewnEdit() {
  const commission = useCommission();
  const atHand = useMaterials();
  const kinds: readonly Material['kind'][] = STREWN_KINDS;
  /** What may be strewn of all that is at hand. */
  const offered = computed(() => atHand.value.filter((m) => kinds.includes(m.kind)));

  const ofKind = (kind: StrewnKind) => offered.value.filter((m) => isRubble(m) === (kind === 'stone'));

  /** Strews something more; answers with its id, where anything of that kind is at hand. */
  function add(kind: StrewnKind): string | undefined {
    const { option } = commission;
    const used = (m: Material) => Number(option!.pieces.some((p) => p.material === m.id) || option!.bed.some((l) => l.material === m.id)); // prettier-ignore
    // What the scape has already is meant first; of grain sand.
    const of = ofKind(kind).sort(
      (a, b) => used(b) - used(a) || Number(b.kind === 'sand') - Number(a.kind === 'sand'),
    )[0];
    if (!of) return undefined;
    commission.endStep();
    commission.edit(`strew ${of.id}`, (d) =>
      optionWith(d, commission.optionId, [of], (o) => strewnFresh(o, of)),
    );
    return commission.option!.strewn?.at(-1)?.id;
  }
  /** Changes one lot; answers with what is wrong, if anything. */
  const change = (id: string, key: string, part: Partial<Strewn>) =>
    commission.tryEditOption(`strewn ${id} ${key}`, (o) => strewnChanged(o, id, part));
  function setMaterial(id: string, material: string): void {
    const of = atHand.value.find((m) => m.id === material);
    commission.endStep();
    commission.edit(`strewn ${id} of`, (d) =>
      optionWith(d, commission.optionId, [of], (o) => strewnChanged(o, id, { material })),
    );
  }
  function drop(id: string): void {
    commission.endStep();
    commission.editOption(`strewn ${id} gone`, (o) => withoutStrewn(o, id));
  }
  return { offered, ofKind, add, change, setMaterial, drop };
}
