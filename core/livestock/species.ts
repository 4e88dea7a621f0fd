/**
 * What an animal kept in planted tanks asks for. Every range is common practice: what keepers generally
 * hold it at, not what it survives. °C, °d, mm; `leastMm` is the length of tank below which it is not kept.
 */
export interface Species {
  id: string;
  name: string;
  kind: 'fish' | 'shrimp' | 'snail';
  tempC: readonly [number, number];
  ph: readonly [number, number];
  gh: readonly [number, number];
  kh: readonly [number, number];
  adultMm: number;
  /** Fewest that are kept together. */
  group: number;
  zone: 'top' | 'middle' | 'bottom';
  leastMm: number;
  digs: boolean;
  eatsShrimps: boolean;
  eatsPlants: boolean;
  jumps: boolean;
}

type Row = [
  name: string,
  tempC: [number, number],
  ph: [number, number],
  gh: [number, number],
  kh: [number, number],
  adultMm: number,
  group: number,
  zone: Species['zone'],
  leastMm: number,
  /** d digs, s eats shrimps, p eats plants, j jumps. */
  habits?: string,
];

/** Common practice throughout. */
const FISH: readonly Row[] = [
  ['Paracheirodon innesi', [20, 25], [5.5, 7.2], [1, 10], [0, 5], 35, 10, 'middle', 600],
  ['Paracheirodon axelrodi', [23, 28], [5, 7], [1, 8], [0, 4], 45, 10, 'middle', 600],
  ['Paracheirodon simulans', [23, 28], [5, 6.8], [0, 6], [0, 3], 28, 10, 'middle', 450],
  ['Hemigrammus rhodostomus', [23, 27], [5.5, 7], [1, 10], [0, 5], 50, 10, 'middle', 800],
  ['Hemigrammus erythrozonus', [22, 27], [5.5, 7.5], [2, 15], [0, 8], 40, 8, 'middle', 600],
  ['Hyphessobrycon amandae', [23, 28], [5, 7], [1, 10], [0, 5], 22, 10, 'middle', 400],
  ['Hyphessobrycon herbertaxelrodi', [22, 27], [5.5, 7.5], [1, 12], [0, 6], 40, 8, 'middle', 600],
  ['Hyphessobrycon eques', [22, 27], [5, 7.8], [2, 15], [0, 8], 40, 8, 'middle', 800, 's'],
  ['Hyphessobrycon megalopterus', [22, 27], [5.5, 7.5], [2, 15], [0, 8], 45, 8, 'middle', 800],
  ['Nematobrycon palmeri', [22, 26], [5.5, 7.5], [2, 12], [0, 6], 60, 6, 'middle', 800],
  ['Petitella georgiae', [22, 26], [5.5, 7], [1, 10], [0, 5], 50, 10, 'middle', 800],
  ['Carnegiella strigata', [24, 28], [5, 7], [1, 10], [0, 5], 45, 8, 'top', 800, 'j'],
  ['Gasteropelecus sternicla', [23, 27], [5.5, 7.2], [2, 12], [0, 6], 65, 8, 'top', 1000, 'j'],
  ['Nannostomus marginatus', [22, 27], [5, 7], [1, 10], [0, 5], 35, 10, 'middle', 600, 'j'],
  ['Nannostomus beckfordi', [23, 27], [5.5, 7.5], [1, 12], [0, 6], 55, 10, 'top', 800, 'j'],
  ['Boraras brigittae', [23, 28], [4.5, 7], [0, 8], [0, 4], 20, 10, 'middle', 300],
  ['Boraras maculatus', [23, 28], [4.5, 6.8], [0, 6], [0, 3], 22, 10, 'middle', 400],
  ['Trigonostigma heteromorpha', [22, 28], [5.5, 7.5], [1, 12], [0, 6], 45, 8, 'middle', 600],
  ['Trigonostigma espei', [22, 28], [5.5, 7.2], [1, 10], [0, 5], 35, 8, 'middle', 600],
  ['Danio margaritatus', [20, 25], [6.5, 7.8], [5, 15], [3, 10], 25, 10, 'middle', 450],
  ['Danio rerio', [18, 25], [6.5, 8], [5, 20], [2, 12], 45, 8, 'top', 800, 'j'],
  ['Danio erythromicron', [20, 24], [7, 8], [6, 15], [4, 10], 25, 10, 'middle', 450],
  ['Celestichthys choprae', [20, 25], [6, 7.5], [2, 15], [1, 8], 32, 8, 'top', 600, 'j'],
  ['Tanichthys albonubes', [16, 22], [6, 8], [4, 20], [2, 12], 40, 8, 'middle', 600, 'j'],
  ['Puntius titteya', [22, 26], [6, 7.5], [2, 15], [0, 8], 50, 6, 'middle', 600],
  ['Puntigrus tetrazona', [22, 27], [6, 7.8], [4, 18], [2, 10], 60, 8, 'middle', 1000, 'sp'],
  ['Pethia conchonius', [18, 24], [6, 7.8], [4, 18], [2, 10], 90, 8, 'middle', 1000, 'dsp'],
  ['Crossocheilus oblongus', [23, 27], [6, 7.8], [4, 18], [2, 10], 150, 3, 'bottom', 1200, 'j'],
  ['Barbodes everetti', [24, 28], [6, 7.5], [2, 15], [1, 8], 120, 6, 'middle', 1200, 'dsp'],
  ['Betta splendens', [25, 29], [6, 7.8], [2, 18], [1, 10], 65, 1, 'top', 300, 'sj'],
  ['Trichogaster chuna', [23, 28], [6, 7.5], [2, 15], [1, 8], 50, 2, 'top', 600, 's'],
  ['Trichogaster lalius', [24, 28], [6, 7.5], [4, 15], [2, 8], 80, 2, 'top', 800, 's'],
  ['Trichopodus leerii', [24, 29], [5.5, 7.5], [2, 18], [1, 10], 120, 3, 'top', 1000, 'sj'],
  ['Sphaerichthys osphromenoides', [25, 28], [4, 6.5], [0, 4], [0, 2], 55, 6, 'middle', 800],
  ['Mikrogeophagus ramirezi', [26, 30], [5, 7], [0, 8], [0, 4], 60, 2, 'bottom', 600, 'ds'],
  ['Mikrogeophagus altispinosus', [24, 28], [6, 7.5], [2, 12], [1, 8], 80, 2, 'bottom', 800, 'ds'],
  ['Apistogramma cacatuoides', [24, 28], [6, 7.5], [2, 12], [0, 8], 80, 2, 'bottom', 800, 'ds'],
  ['Apistogramma borellii', [20, 26], [6, 7.5], [2, 15], [1, 8], 60, 2, 'bottom', 600, 's'],
  ['Pterophyllum scalare', [25, 29], [6, 7.5], [1, 12], [0, 6], 150, 5, 'middle', 1200, 's'],
  ['Symphysodon aequifasciatus', [28, 31], [5, 7], [0, 6], [0, 3], 180, 5, 'middle', 1500, 's'],
  ['Corydoras pygmaeus', [22, 26], [6, 7.5], [1, 12], [0, 6], 28, 10, 'bottom', 450],
  ['Corydoras panda', [20, 25], [6, 7.5], [1, 12], [0, 6], 50, 8, 'bottom', 600, 'd'],
  ['Corydoras sterbai', [24, 28], [6, 7.5], [1, 12], [0, 6], 65, 8, 'bottom', 800, 'd'],
  ['Corydoras paleatus', [18, 23], [6, 7.8], [2, 18], [1, 10], 70, 8, 'bottom', 800, 'd'],
  ['Otocinclus affinis', [21, 26], [6, 7.5], [2, 15], [1, 8], 40, 6, 'bottom', 600],
  ['Ancistrus dolichopterus', [23, 27], [6, 7.5], [2, 18], [1, 10], 130, 1, 'bottom', 800, 'p'],
  ['Pangio kuhlii', [24, 28], [5.5, 7], [1, 10], [0, 5], 100, 6, 'bottom', 800, 'd'],
  ['Ambastaia sidthimunki', [24, 28], [6, 7.5], [2, 12], [1, 8], 55, 8, 'bottom', 1000, 's'],
  ['Gyrinocheilus aymonieri', [23, 27], [6, 8], [4, 18], [2, 10], 250, 1, 'bottom', 1500, 'p'],
  ['Poecilia reticulata', [20, 27], [7, 8.2], [8, 25], [4, 15], 50, 5, 'top', 600],
  ['Poecilia wingei', [23, 28], [7, 8.2], [8, 25], [4, 15], 40, 6, 'top', 450],
  ['Xiphophorus maculatus', [20, 26], [7, 8.2], [8, 25], [4, 15], 60, 5, 'middle', 600],
  ['Xiphophorus hellerii', [21, 27], [7, 8.2], [8, 28], [5, 16], 110, 5, 'middle', 1000, 'j'],
  ['Pseudomugil furcatus', [23, 27], [6.5, 8], [5, 15], [3, 10], 55, 8, 'top', 600, 'j'],
  ['Pseudomugil luminatus', [24, 28], [5.5, 7.5], [2, 12], [1, 7], 35, 8, 'top', 450, 'j'],
  ['Melanotaenia praecox', [22, 27], [6.5, 7.8], [4, 15], [2, 10], 60, 8, 'middle', 1000, 'j'],
  ['Iriatherina werneri', [24, 28], [5.5, 7.5], [1, 12], [0, 7], 45, 8, 'middle', 600],
  ['Oryzias woworae', [23, 27], [6.5, 7.8], [4, 15], [2, 10], 35, 8, 'top', 450, 'j'],
  ['Aphyosemion australe', [20, 25], [5.5, 7], [1, 10], [0, 5], 55, 2, 'middle', 450, 'sj'],
  ['Pantodon buchholzi', [24, 28], [6, 7], [1, 10], [0, 5], 110, 1, 'top', 800, 'sj'],
];

const SHRIMPS: readonly Row[] = [
  ['Neocaridina davidi', [18, 26], [6.5, 8], [6, 15], [2, 10], 28, 10, 'bottom', 250],
  ['Caridina cantonensis', [19, 24], [5.5, 6.8], [4, 6], [0, 2], 28, 10, 'bottom', 250],
  ['Caridina multidentata', [20, 26], [6.5, 7.8], [4, 15], [2, 10], 55, 5, 'bottom', 450],
  ['Atyopsis moluccensis', [23, 28], [6.5, 7.8], [4, 15], [3, 10], 90, 3, 'bottom', 800],
];

const SNAILS: readonly Row[] = [
  ['Clithon corona', [22, 28], [7, 8.2], [6, 20], [4, 15], 20, 3, 'bottom', 250],
  ['Neritina pulligera', [22, 28], [7, 8.2], [6, 20], [4, 15], 35, 2, 'bottom', 450],
  ['Planorbella duryi', [18, 27], [7, 8], [6, 20], [4, 15], 25, 3, 'bottom', 250],
  ['Pomacea diffusa', [20, 27], [7, 8], [8, 20], [4, 15], 60, 1, 'bottom', 450],
];

function speciesOf(kind: Species['kind'], rows: readonly Row[]): Species[] {
  return rows.map(([name, tempC, ph, gh, kh, adultMm, group, zone, leastMm, habits = '']) => ({
    id: name.toLowerCase().replace(/[^a-z]+/g, '-'),
    name,
    kind,
    tempC,
    ph,
    gh,
    kh,
    adultMm,
    group,
    zone,
    leastMm,
    digs: habits.includes('d'),
    eatsShrimps: habits.includes('s'),
    eatsPlants: habits.includes('p'),
    jumps: habits.includes('j'),
  }));
}

export const SPECIES: readonly Species[] = [
  ...speciesOf('fish', FISH),
  ...speciesOf('shrimp', SHRIMPS),
  ...speciesOf('snail', SNAILS),
];

const BY_ID = new Map(SPECIES.map((s) => [s.id, s]));

/** A species of the catalogue, or undefined for one that it does not have. */
export function speciesById(id: string): Species | undefined {
  return BY_ID.get(id);
}
