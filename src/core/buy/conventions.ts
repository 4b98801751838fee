/**
 * How a seat tube is measured: from the centre of the bottom bracket to the top of the seat tube, to the centre of the top
 * tube, or to the top of the top tube.
 */
export const CONVENTIONS = ['centre-top', 'centre-centre', 'centre-toptube'] as const;
