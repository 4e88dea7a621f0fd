/** Background film is applied wet and dries before the scape goes in, h (common practice). */
export const FILM_DRY_HOURS = 12;
