import { paintOf, type Woolly } from './fibreTile.ts';

/** How large a tuft is, px, and how long it is on its way, ms: seen, and over before the next tap. */
const TUFT_PX = 26;
const FLIGHT_MS = 380;

const middleOf = (node: Element): { x: number; y: number } => {
  const { left, top, width, height } = node.getBoundingClientRect();
  return { x: left + width / 2 - TUFT_PX / 2, y: top + height / 2 - TUFT_PX / 2 };
};

/**
 * A tuft of fibre goes from where it lies to where it is put: what a tick has moved is seen to move. Nothing waits for it,
 * nothing can be taken hold of in it, and it is not there where a system asks for no motion.
 */
export function flyWool(fibre: Woolly, from: Element, to: Element): void {
  if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
  const tuft = tuftOf(fibre);
  if (!tuft) return;
  const [begin, end] = [middleOf(from), middleOf(to)];
  const at = ({ x, y }: { x: number; y: number }, scale: number, turnDeg: number) =>
    `translate(${x}px, ${y}px) rotate(${turnDeg}deg) scale(${scale})`;
  const over = { x: (begin.x + end.x) / 2, y: Math.min(begin.y, end.y) + Math.abs(begin.y - end.y) * 0.35 };
  document.body.append(tuft);
  const flight = tuft.animate(
    [
      { transform: at(begin, 0.7, -20), opacity: 0 },
      { transform: at(begin, 1, -12), opacity: 1, offset: 0.12 },
      { transform: at(over, 1.1, 8), opacity: 1, offset: 0.55 },
      { transform: at(end, 0.5, 20), opacity: 0.15 },
    ],
    { duration: FLIGHT_MS, easing: 'ease-in-out' },
  );
  flight.onfinish = flight.oncancel = () => tuft.remove();
}

function tuftOf(fibre: Woolly): HTMLCanvasElement | null {
  const paint = paintOf(fibre);
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = TUFT_PX * 2;
  const context = canvas.getContext('2d');
  if (!paint || !context) return null;
  // A tuft is round and torn, not a counter.
  context.beginPath();
  for (let step = 0; step <= 40; step++) {
    const angle = (Math.PI * step) / 20;
    const out = TUFT_PX * (0.82 + 0.13 * Math.sin(angle * 5) + 0.05 * Math.sin(angle * 11));
    context.lineTo(TUFT_PX + out * Math.cos(angle), TUFT_PX + out * Math.sin(angle));
  }
  context.clip();
  context.drawImage(paint, 0, 0);
  canvas.setAttribute('aria-hidden', 'true');
  canvas.dataset['tuft'] = '';
  Object.assign(canvas.style, {
    position: 'fixed',
    left: '0',
    top: '0',
    width: `${TUFT_PX}px`,
    height: `${TUFT_PX}px`,
    pointerEvents: 'none',
    zIndex: '1000',
  });
  return canvas;
}
