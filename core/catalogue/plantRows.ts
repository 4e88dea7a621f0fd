/*
 * Plants by botanical name with what is known of each (common practice throughout: figures are those at which growers and
 * shops agree roughly, no measurements). A row is name, habit, height grown mm, spread of one plug mm, growth, light of a
 * day mol/m² at which it lives and at which it grows well, CO2, temperature °C, general hardness °d, leaf.
 */
export const PLANT_ROWS = `
Eleocharis pusilla|carpet|30-70|60|medium|1.0-2.2|helped|18-28|1-12|strap
Eleocharis acicularis|grass|60-150|80|medium|1.0-2.2|helped|15-28|1-15|strap
Eleocharis vivipara|grass|150-400|120|medium|1.0-2.2|helped|18-28|1-12|strap
Hemianthus callitrichoides|carpet|10-30|60|medium|2.2-4.0|needed|20-27|1-10|round
Micranthemum tweediei|carpet|20-50|80|medium|1.2-2.6|helped|18-28|1-12|round
Micranthemum umbrosum|stem|80-200|60|fast|1.2-2.6|helped|18-28|1-15|round
Glossostigma elatinoides|carpet|15-30|80|fast|2.0-3.8|needed|18-27|1-12|round
Utricularia graminifolia|carpet|20-60|60|slow|1.4-3.0|needed|18-27|0-8|strap
Marsilea hirsuta|carpet|20-60|80|slow|0.6-1.8|helped|18-28|1-15|round
Marsilea crenata|carpet|20-60|80|slow|0.7-1.8|helped|18-28|1-15|round
Elatine hydropiper|carpet|10-30|60|slow|1.8-3.4|needed|15-26|1-10|round
Lilaeopsis brasiliensis|grass|40-80|60|slow|1.2-2.6|helped|18-28|1-15|strap
Lilaeopsis mauritiana|grass|50-120|70|slow|1.0-2.2|helped|20-28|1-18|strap
Helanthium tenellum|grass|50-120|90|medium|1.0-2.2|helped|18-28|1-15|strap
Helanthium bolivianum|grass|80-180|120|medium|0.9-2.0|helped|20-28|1-15|strap
Sagittaria subulata|grass|100-300|90|medium|0.6-1.8|without|18-28|2-20|strap
Staurogyne repens|creeper|40-100|80|medium|1.0-2.4|helped|20-28|1-15|lance
Hydrocotyle tripartita|creeper|40-120|90|fast|1.0-2.2|helped|18-28|1-15|round
Hydrocotyle verticillata|creeper|50-120|90|medium|1.6-3.2|helped|18-27|1-15|round
Hygrophila pinnatifida|creeper|80-200|150|medium|1.4-2.8|helped|20-28|1-15|feather
Alternanthera reineckii 'Mini'|creeper|50-120|70|slow|1.8-3.4|helped|20-28|1-15|lance
Lobelia cardinalis 'Mini'|creeper|50-120|70|slow|1.2-2.6|helped|18-27|1-15|round
Samolus valerandi|rosette|60-150|90|slow|1.6-3.0|helped|18-25|3-20|round
Cryptocoryne parva|rosette|40-80|50|slow|1.0-2.2|without|20-28|1-15|lance
Cryptocoryne wendtii|rosette|100-250|150|slow|0.5-1.4|without|20-29|1-18|lance
Cryptocoryne beckettii|rosette|100-200|140|medium|0.5-1.4|without|20-29|1-18|lance
Cryptocoryne undulata|rosette|100-250|140|medium|0.6-1.4|without|20-28|1-15|lance
Cryptocoryne lutea|rosette|100-200|120|slow|0.5-1.4|without|20-28|1-15|lance
Cryptocoryne balansae|rosette|250-600|200|medium|0.6-1.8|without|20-28|3-20|strap
Cryptocoryne usteriana|rosette|250-600|250|medium|0.6-1.8|without|20-28|3-20|strap
Cryptocoryne nurii|rosette|80-200|120|slow|0.8-1.8|helped|22-28|0-6|lance
Echinodorus grisebachii|rosette|200-400|300|medium|0.7-1.8|without|20-28|1-18|lance
Echinodorus 'Red'|rosette|200-400|300|medium|1.2-2.6|helped|20-28|1-18|lance
Aponogeton crispus|bulb|200-450|250|fast|0.8-2.0|without|18-28|1-15|strap
Aponogeton ulvaceus|bulb|250-500|350|fast|1.0-2.4|helped|20-27|1-12|strap
Nymphaea lotus|bulb|150-450|350|fast|0.9-2.2|helped|20-29|1-15|round
Crinum calamistratum|bulb|300-900|250|slow|0.8-2.0|without|20-28|2-18|strap
Barclaya longifolia|bulb|200-400|250|medium|1.2-2.4|helped|23-28|1-10|strap
Vallisneria nana|grass|150-500|100|fast|0.8-2.0|without|20-29|2-20|strap
Vallisneria spiralis|grass|300-700|130|fast|0.6-1.8|without|15-29|3-25|strap
Cyperus helferi|grass|200-350|150|slow|1.0-2.4|helped|20-27|1-12|strap
Blyxa japonica|rosette|80-150|120|medium|1.8-3.2|needed|20-28|1-10|strap
Eriocaulon cinereum|rosette|40-80|60|slow|2.2-4.0|needed|20-27|0-6|needle
Rotala rotundifolia|stem|150-400|50|fast|1.2-2.8|helped|18-29|1-15|lance
Rotala macrandra|stem|150-400|60|medium|2.4-4.2|needed|22-28|0-8|lance
Rotala wallichii|stem|150-350|45|medium|2.4-4.2|needed|20-27|0-6|needle
Rotala indica 'Bonsai'|stem|60-150|45|slow|1.8-3.4|helped|20-28|1-12|round
Rotala 'Green'|stem|120-350|50|fast|1.2-2.6|helped|18-29|1-15|lance
Ludwigia palustris|stem|150-400|60|fast|1.2-2.8|helped|16-28|1-18|lance
Ludwigia repens|stem|150-400|70|fast|1.0-2.4|helped|18-28|1-18|lance
Ludwigia arcuata|stem|150-400|50|medium|1.8-3.4|helped|20-28|1-12|needle
Ludwigia inclinata|stem|200-450|80|medium|2.2-4.0|needed|22-28|0-8|lance
Hygrophila polysperma|stem|150-400|70|fast|0.6-1.8|without|18-30|2-20|lance
Hygrophila corymbosa|stem|200-500|120|fast|0.8-2.0|without|20-28|2-20|lance
Hygrophila difformis|stem|150-400|120|fast|0.7-2.0|without|20-28|2-20|feather
Limnophila sessiliflora|stem|200-500|70|fast|0.7-2.0|without|20-28|1-18|feather
Limnophila aromatica|stem|200-450|60|medium|2.0-3.8|needed|22-28|0-8|lance
Limnophila hippuridoides|stem|200-450|60|medium|1.8-3.4|helped|20-28|1-10|needle
Pogostemon erectus|stem|150-350|60|medium|1.8-3.4|needed|20-28|1-12|needle
Pogostemon stellatus|stem|200-500|80|fast|2.2-4.0|needed|22-28|1-10|lance
Pogostemon helferi|rosette|50-100|90|slow|1.4-3.0|helped|20-27|1-15|lance
Myriophyllum mattogrossense|stem|200-500|60|fast|1.2-2.8|helped|18-28|1-15|feather
Myriophyllum tuberculatum|stem|200-450|60|medium|2.4-4.2|needed|22-28|0-8|feather
Bacopa caroliniana|stem|150-400|60|medium|1.0-2.4|without|18-28|2-20|round
Bacopa monnieri|stem|150-350|45|medium|1.0-2.4|without|18-28|2-20|round
Ammannia gracilis|stem|200-450|80|medium|2.2-4.0|needed|20-28|1-10|lance
Proserpinaca palustris|stem|150-350|70|slow|2.0-3.6|helped|18-27|1-12|feather
Heteranthera zosterifolia|stem|150-400|80|fast|1.4-3.0|helped|20-28|1-15|strap
Egeria densa|stem|200-600|70|fast|0.7-2.0|without|10-26|3-25|needle
Ceratophyllum demersum|stem|200-600|80|fast|0.6-1.8|without|12-28|3-25|needle
Cabomba aquatica|stem|200-600|80|fast|1.6-3.2|helped|22-28|0-8|feather
Anubias barteri var. nana|epiphyte|50-150|120|slow|0.3-1.2|without|20-29|1-20|round
Anubias barteri 'Petite'|epiphyte|20-60|60|slow|0.3-1.2|without|20-29|1-20|round
Anubias heterophylla|epiphyte|200-400|250|slow|0.3-1.2|without|20-28|1-20|lance
Microsorum pteropus|epiphyte|150-300|200|slow|0.3-1.4|without|18-28|1-20|lance
Microsorum pteropus 'Trident'|epiphyte|100-200|150|slow|0.4-1.4|without|18-28|1-20|frond
Bolbitis heudelotii|epiphyte|150-400|250|slow|0.4-1.6|helped|20-27|0-10|frond
Bucephalandra sp.|epiphyte|40-120|80|slow|0.4-1.6|helped|20-28|1-12|lance
Schismatoglottis prietoi|rosette|50-150|80|slow|0.6-1.8|without|20-28|1-18|lance
Taxiphyllum barbieri|moss|20-60|80|medium|0.3-1.4|without|15-28|1-18|tuft
Vesicularia montagnei|moss|20-50|70|slow|0.5-1.6|helped|18-27|1-12|tuft
Fissidens fontanus|moss|10-40|50|slow|0.6-1.8|helped|15-26|1-12|tuft
Riccardia chamedryfolia|moss|10-30|50|slow|0.9-2.0|helped|18-25|1-10|tuft
Monosolenium tenerum|moss|20-50|80|medium|0.5-1.6|without|18-28|1-15|tuft
Phyllanthus fluitans|float|10-20|40|fast|1.6-4.0|without|20-28|1-15|round
Limnobium laevigatum|float|20-50|80|fast|1.4-4.0|without|18-28|1-18|round
Salvinia auriculata|float|10-20|40|fast|1.2-4.0|without|18-28|1-18|round
Pistia stratiotes|float|50-150|150|fast|1.8-5.0|without|20-30|1-18|round
Ceratopteris thalictroides|stem|150-400|200|fast|0.8-2.2|without|20-28|2-18|frond
Spathiphyllum wallisii|emersed|200-400|250|slow|1.0-4.0|without|18-28|1-20|lance
Fittonia albivenis|emersed|50-150|120|medium|1.0-3.5|without|18-28|1-15|round
Ficus pumila|emersed|20-60|150|medium|1.2-5.0|without|15-28|1-20|round
Pilea cadierei|emersed|100-250|150|medium|1.4-5.0|without|16-28|1-20|lance
`;

/** What stands for plants that nobody can name, a row a habit: it is drawn and planted, and nobody buys it. */
export const UNNAMED_ROWS = `
Stem plants, mixed or unnamed|stem|150-400|60|medium|1.2-2.8|helped|20-27|1-12|lance
Rosettes, mixed or unnamed|rosette|100-250|120|slow|0.8-2.0|without|20-27|2-15|lance
Grasses, mixed or unnamed|grass|80-250|90|medium|1.0-2.2|helped|20-27|1-15|strap
Carpet, mixed or unnamed|carpet|20-60|60|medium|1.4-3.0|helped|20-27|1-12|round
Epiphytes, mixed or unnamed|epiphyte|80-200|100|slow|0.4-1.4|without|20-27|1-15|lance
Mosses, mixed or unnamed|moss|20-60|60|medium|0.5-1.8|without|18-26|1-15|tuft
`;
