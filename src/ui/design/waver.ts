/** What a hand wavers by. */
export const WAVER_MM = 0.12;
