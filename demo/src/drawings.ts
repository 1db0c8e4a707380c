/** A drawing of our own for a step: lines on paper, readable in black and white. */
export interface Drawing {
  readonly name: string;
  /** Said instead of it. */
  readonly alt: string;
  readonly width: number;
  readonly height: number;
  readonly svg: string;
}

const STYLE = 'fill="none" stroke="#1d2733" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"';
const THIN = 'stroke-width="1.2" stroke="#55616d"';
const DASHED = 'stroke-width="1.4" stroke-dasharray="6 5"';

const drawing = (name: string, alt: string, width: number, height: number, body: string): Drawing => ({
  name,
  alt,
  width,
  height,
  svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"><rect x="0" y="0" width="${width}" height="${height}" fill="#fdfdfb"/><g ${STYLE}>${body}</g></svg>`,
});

/** Short curved strokes along a line: wool that is not felted yet. */
const wisps = (x: number, y: number, count: number, step: number, length = 26): string =>
  Array.from({ length: count }, (_, index) => {
    const [left, bend] = [x + index * step, index % 2 === 0 ? -6 : 6];
    return `<path d="M${left} ${y}q${length / 2} ${bend} ${length} 0" ${THIN}/>`;
  }).join('');

/** A needle that goes in at a point, from above and to the right. */
const needle = (x: number, y: number, dx = 46, dy = -62): string =>
  `<path d="M${x} ${y}l${dx} ${dy}"/><path d="M${x + dx} ${y + dy}l7 -9" stroke-width="4"/>`;

export const DRAWINGS: Readonly<Record<string, Drawing>> = {
  'draw-roll': drawing(
    'Rolling a core',
    'A batt is rolled up tight from one end while its two sides are folded in.',
    360,
    190,
    `<path d="M30 150h210"/><path d="M30 150c-8-30 2-58 24-60h150c30 4 44 30 36 60"/>${wisps(52, 112, 6, 26)}${wisps(46, 132, 6, 28)}
     <circle cx="270" cy="118" r="40"/><path d="M270 118m-26 0a26 26 0 1 1 26 26M270 118m-12 0a12 12 0 1 1 12 12" ${THIN}/>
     <path d="M318 84c16 20 16 48 0 68M318 152l-4-13M318 152l12-7" ${THIN}/><path d="M60 74l22 20M60 174l22-16" ${DASHED}/>`,
  ),
  'draw-outline': drawing(
    'Against the outline',
    'An egg of wool lies within a dashed outline, the rolled size, and around a solid one, the felted size.',
    300,
    200,
    `<ellipse cx="150" cy="100" rx="118" ry="84" ${DASHED}/><ellipse cx="150" cy="100" rx="88" ry="62"/>
     <path d="M112 84q18-12 36 0M128 118q22-12 44 0M168 92q16-10 30 0" ${THIN}/>
     <path d="M62 184v10M238 184v10M62 189h176" ${THIN}/>`,
  ),
  'draw-neck': drawing(
    'A ring of stabs',
    'A pear on its side; dots run round it a third of the way down, and a needle points straight at them.',
    320,
    200,
    `<path d="M52 100c0-34 26-58 66-58 34 0 46 18 74 24 34 6 66 10 66 34s-32 28-66 34c-28 6-40 24-74 24-40 0-66-24-66-58z"/>
     <path d="M186 66c8 20 8 48 0 68" stroke-dasharray="1 8" stroke-width="4"/>${needle(190, 66, 34, -48)}`,
  ),
  'draw-coat': drawing(
    'Two layers, crosswise',
    'A ball with thin strands laid over it from left to right, and a second layer laid across the first.',
    300,
    200,
    `<circle cx="150" cy="106" r="70"/>${wisps(92, 84, 4, 30, 30)}${wisps(92, 106, 4, 30, 30)}${wisps(92, 128, 4, 30, 30)}
     <path d="M116 46q-6 58 2 118M150 36q-6 68 0 138M184 46q6 58-2 118" ${DASHED}/><path d="M238 42l-34 26M204 68l4-14M204 68l14-1" ${THIN}/>`,
  ),
  'draw-leaf': drawing(
    'Folding the edges in',
    'A loose leaf of wool; its ragged edges are folded in over a dashed line, arrows pointing inward.',
    320,
    180,
    `<path d="M40 90c34-52 80-66 128-58 46 8 84 30 112 58-28 30-66 52-112 58-48 8-94-6-128-58z" ${THIN}/>
     <path d="M66 90c28-36 64-46 104-40 36 6 66 22 88 40-22 20-52 36-88 40-40 6-76-4-104-40z" ${DASHED}/>
     <path d="M160 22v26M160 48l-6-9M160 48l6-9M160 158v-26M160 132l-6 9M160 132l6 9"/>`,
  ),
  'draw-tail': drawing(
    'A loose end',
    'A felted limb whose one end is left as loose fibre, about a finger wide, marked by a bracket.',
    320,
    150,
    `<path d="M40 56h150v40H40c-24 0-24-40 0-40z"/>${wisps(192, 60, 3, 22, 34)}${wisps(192, 76, 3, 22, 38)}${wisps(192, 92, 3, 22, 34)}
     <path d="M192 120v8h92v-8" ${THIN}/>`,
  ),
  'draw-wire': drawing(
    'The wire for two legs',
    'One wire: folded double and twisted for each leg, single through the body, three toes curled back flat at each end.',
    360,
    190,
    `<path d="M110 40h140"/><path d="M110 40c-10 2-12 12-8 20s8 14 4 24-10 14-6 26M102 44c8 8 14 16 8 26s-12 14-6 24 8 10 4 18"/>
     <path d="M250 40c10 2 12 12 8 20s-8 14-4 24 10 14 6 26M258 44c-8 8-14 16-8 26s12 14 6 24-8 10-4 18"/>
     <path d="M104 116l-38 34q-8 8 2 8l12-4M104 116v42q0 10 8 6l4-8M104 116l38 32q10 8 2 10l-12-4"/>
     <path d="M256 116l-38 34q-8 8 2 8l12-4M256 116v42q0 10 8 6l4-8M256 116l38 32q10 8 2 10l-12-4"/>
     <path d="M110 26v-8h140v8" ${THIN}/>`,
  ),
  'draw-join': drawing(
    'Felting deep all round',
    'A small ball on a large one; needles go in from both sides through the small into the large.',
    320,
    220,
    `<circle cx="160" cy="150" r="58"/><circle cx="160" cy="72" r="36"/><path d="M132 98q28 16 56 0" ${THIN}/>
     ${needle(148, 118, -58, -58)}${needle(172, 118, 58, -58)}`,
  ),
  'draw-splay': drawing(
    'Splaying the ends',
    'Eight loose ends lie like the spokes of a wheel under a round head.',
    300,
    220,
    `<circle cx="150" cy="110" r="34"/>${Array.from({ length: 8 }, (_, index) => {
      const angle = (index * Math.PI) / 4 + Math.PI / 8;
      const at = (radius: number) =>
        `${(150 + radius * Math.cos(angle)).toFixed(0)} ${(110 + radius * Math.sin(angle)).toFixed(0)}`;
      return `<path d="M${at(24)}L${at(62)}" ${THIN}/><path d="M${at(60)}L${at(96)}" stroke-width="9"/>`;
    }).join('')}`,
  ),
  'draw-curl': drawing(
    'Curling a tip',
    'The thin end of an arm is wound round a pencil; stabs go into the inside of the curl.',
    320,
    180,
    `<path d="M40 60c60-10 110 0 150 26" stroke-width="13"/><path d="M190 86c30 20 44 44 22 60s-48-4-38-26 34-18 42 0" stroke-width="9"/>
     <circle cx="196" cy="124" r="9" fill="#fdfdfb"/>${needle(204, 116, 60, -52)}`,
  ),
  'draw-sheet': drawing(
    'On the sheet, edges first',
    'An oval lies on a sheet of felt; stabs follow its edge, and an arrow shows the way round.',
    320,
    190,
    `<rect x="30" y="24" width="260" height="142" rx="4" ${THIN}/><ellipse cx="160" cy="95" rx="86" ry="52"/>
     <ellipse cx="160" cy="95" rx="76" ry="43" stroke-dasharray="1 9" stroke-width="4"/><path d="M236 60c12 18 14 46 2 66M238 126l-2-13M238 126l11-6" ${THIN}/>`,
  ),
  'draw-pinback': drawing(
    'Where the pin back sits',
    'The back of the brooch with the pin back lying across, a third of the way down from the top.',
    300,
    190,
    `<path d="M150 24c44 0 62 36 62 74s-24 68-62 68-62-30-62-68 18-74 62-74z"/><path d="M104 78h92" stroke-width="7"/>
     <path d="M104 78m0 8q46 12 92 0" ${THIN}/><path d="M236 24v54M228 78h16M228 24h16" ${THIN}/>`,
  ),
  'draw-level': drawing(
    'Does it hang level?',
    'A balloon held by a needle half through its top; a dashed line shows that its widest part lies level.',
    300,
    240,
    `<path d="M150 60c48 0 74 34 74 74 0 34-30 56-56 80h-36c-26-24-56-46-56-80 0-40 26-74 74-74z"/>${needle(150, 66, 10, -50)}
     <path d="M40 134h220" ${DASHED}/><path d="M130 214h40M134 222h32" ${THIN}/>`,
  ),
};
