import sharp from 'sharp';

// Nothing is asked for twice in a row, and what is kept for that is memory nobody gives back.
sharp.cache(false);
// Pictures are made one after the other: threads of their own for each would hold more than they save.
sharp.concurrency(1);

export { sharp };
