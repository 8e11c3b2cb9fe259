/**
 * Radio links of household controls: margins by path, by what stands near, by tired cells.
 *
 * @example
 * Math.round(nearLoss(300) * 10) / 10 // 2.5
 * signalWords(pathMargin({ metre: 10, walls: 2, floors: 1 })) // 'good'
 */

export * from './link-budget';
