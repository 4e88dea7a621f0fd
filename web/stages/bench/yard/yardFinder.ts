import type { Ref } from 'vue';
import type { YardPiece } from '../../../../core/catalogue/studio';
import type { Option } from '../../../../core/commission/schema';
import { yardNumber } from '../../../../core/yard/number';
import { useFinder } from '../../../design/commands';
import { useStudio } from '../../../document/studioStore';
import { wording } from '../../../words/wording';

/** What is typed before pieces of the yard are offered. */
const LEAST_LETTERS = 2;

/** Every piece of the yard that does not stand yet, by its number, wherever the hand is. */
export function useYardFinder(option: Readonly<Ref<Option>>, take: (piece: YardPiece) => void): void {
  const studio = useStudio();
  useFinder((words) => {
    const number = words.trim().toLowerCase();
    if (number.length < LEAST_LETTERS) return [];
    const set = new Set(option.value.pieces.map(yardNumber));
    return (studio.studio?.yard ?? [])
      .filter(({ id }) => id.toLowerCase().startsWith(number) && !set.has(id))
      .map((piece) => ({
        id: `yard ${piece.id}`,
        title: wording('yardFinder.set', { id: piece.id }),
        run: () => take(piece),
      }));
  });
}
