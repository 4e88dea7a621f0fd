import { computed } from 'vue';
import type { Commission } from '../../core/commission/schema';
import type { Device } from '../../core/gear/gear';
import { useMaterials, withMaterials } from './materials';

/** Articles of gear of the document and of the studio, each once; and a document with devices, and the articles that they are. */
export function useArticles() {
  const atHand = useMaterials();
  const articles = computed(() => atHand.value.filter((m) => m.kind === 'equipment'));
  function withDevices(d: Commission, devices: Device[]): Commission {
    const used = articles.value.filter((a) => devices.some((x) => x.material === a.id));
    return { ...withMaterials(d, used), site: { ...d.site, devices } };
  }
  return { articles, withDevices };
}
