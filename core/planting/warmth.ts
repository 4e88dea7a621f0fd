/** Above this planted tanks lose growth and gain algae, °C, where a plant's entry does not say (common practice). */
export const PLANTS_MOST_C = 27;
