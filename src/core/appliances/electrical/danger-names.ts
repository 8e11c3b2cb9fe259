/**
 * What may happen when the power goes on, or stands on, with something wrong: worked out from the circuit under every
 * hypothesis, so that the danger of a live check is what the readings so far leave of it.
 */
export const powerOnDangers = ['trips-again', 'current-to-earth', 'shell-live'] as const;

export type PowerOnDanger = (typeof powerOnDangers)[number];
