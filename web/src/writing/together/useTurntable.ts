import { drawnFigure, type LookFrom, type Together } from '@lanakit/core/figure';
import type { Part } from '@lanakit/core/pattern';
import { type PointerEvent, useCallback, useEffect, useRef, useState } from 'react';
import { paintFigure, type FigurePaint } from '../../figure/paintFigure.ts';
import type { DrawingScale } from '../../figure/TogetherDrawing.tsx';
import { eased, restingDeg, shortWay, turnedBy, turnMs, within } from '../../figure/turning.ts';

interface TurntableSources {
  readonly together: Together;
  readonly parts: readonly Part[];
  readonly from: LookFrom;
  readonly paint: (canvas: HTMLCanvasElement) => FigurePaint;
  readonly onRest: (from: LookFrom) => void;
}

export interface Turntable {
  readonly onCanvas: (canvas: HTMLCanvasElement | null) => void;
  /** To be told how it is drawn between the rulers. */
  readonly onScale: (at: DrawingScale) => void;
  /** What is seen is on the canvas: the drawing under it waits. */
  readonly isTurning: boolean;
  /** To be put on what a hand may turn it by. */
  readonly hands: {
    readonly onPointerDown: (event: PointerEvent<SVGElement>) => void;
    readonly onPointerMove: (event: PointerEvent<SVGElement>) => void;
    readonly onPointerUp: () => void;
    readonly onPointerCancel: () => void;
  };
  /** Turned before one’s eyes, so that it is seen which side comes to the front. */
  readonly turnTo: (turnDeg: number) => void;
  readonly turnBy: (byDeg: number) => void;
}

/**
 * A figure turned by hand or by a press, painted anew at every frame. React hears of it when it comes to rest; between, no
 * element is made.
 */
export function useTurntable({ together, parts, from, paint, onRest }: TurntableSources): Turntable {
  const canvas = useRef<HTMLCanvasElement>(null);
  const at = useRef<DrawingScale>(null);
  const [isTurning, setTurning] = useState(false);
  const frame = useRef<number | null>(null);
  const hold = useRef<{ readonly fromPx: number; readonly fromDeg: number; deg: number } | null>(null);
  const restDeg = from.kind === 'round' ? from.turnDeg : 0;
  const shownDeg = useRef(restDeg);
  // Where it is on its way to: a second press before it is there goes on from there.
  const goalDeg = useRef(restDeg);
  useEffect(() => {
    // A press between its coming to rest and this being told has sent it on already, and is not to be lost.
    if (frame.current === null) goalDeg.current = shownDeg.current = restDeg;
  }, [restDeg]);

  const show = useCallback(
    (turnDeg: number) => {
      const context = canvas.current?.getContext('2d');
      if (!canvas.current || !context || !at.current) return;
      shownDeg.current = turnDeg;
      const fine = window.devicePixelRatio;
      const { clientWidth, clientHeight } = canvas.current;
      if (canvas.current.width !== Math.round(clientWidth * fine)) {
        canvas.current.width = Math.round(clientWidth * fine);
        canvas.current.height = Math.round(clientHeight * fine);
      }
      context.setTransform(fine, 0, 0, fine, 0, 0);
      context.clearRect(0, 0, clientWidth, clientHeight);
      const drawn = drawnFigure(together, parts, { kind: 'round', turnDeg });
      paintFigure(context, drawn, at.current, paint(canvas.current));
    },
    [together, parts, paint],
  );

  const stop = useCallback(() => {
    if (frame.current !== null) cancelAnimationFrame(frame.current);
    frame.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  const rest = useCallback(
    (turnDeg: number) => {
      onRest({ kind: 'round', turnDeg: restingDeg(turnDeg) });
      setTurning(false);
    },
    [onRest],
  );

  const run = useCallback(
    (fromDeg: number, toDeg: number) => {
      stop();
      goalDeg.current = toDeg;
      const wayDeg = shortWay(fromDeg, toDeg);
      if (wayDeg === 0 || prefersStill()) return rest(toDeg);
      // Painted before the drawing goes: nothing flickers.
      show(fromDeg);
      setTurning(true);
      const [begun, ms] = [performance.now(), turnMs(wayDeg)];
      const next = (now: number) => {
        const share = Math.min(1, Math.max(0, (now - begun) / ms));
        show(fromDeg + wayDeg * eased(share));
        frame.current = share < 1 ? requestAnimationFrame(next) : null;
        if (share === 1) rest(toDeg);
      };
      frame.current = requestAnimationFrame(next);
    },
    [stop, show, rest],
  );

  const hands: Turntable['hands'] = {
    onPointerDown: (event) => {
      if (from.kind !== 'round' || event.button !== 0 || event.target !== event.currentTarget) return;
      stop();
      const nowDeg = shownDeg.current;
      hold.current = { fromPx: event.clientX, fromDeg: nowDeg, deg: nowDeg };
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event) => {
      const held = hold.current;
      if (!held) return;
      held.deg = turnedBy(held.fromDeg, event.clientX - held.fromPx);
      frame.current ??= requestAnimationFrame(() => {
        frame.current = null;
        if (!hold.current || hold.current.deg === shownDeg.current) return;
        show(hold.current.deg);
        setTurning(true);
      });
    },
    onPointerUp: () => letGo(),
    onPointerCancel: () => letGo(),
  };
  const letGo = () => {
    const held = hold.current;
    hold.current = null;
    stop();
    if (held) run(held.deg, restingDeg(held.deg));
  };
  const turnTo = (turnDeg: number) =>
    from.kind === 'round' ? run(shownDeg.current, turnDeg) : onRest({ kind: 'round', turnDeg });
  const turnBy = (byDeg: number) => turnTo(within(goalDeg.current + byDeg));
  const onCanvas = useCallback((next: HTMLCanvasElement | null) => void (canvas.current = next), []);
  const onScale = useCallback((next: DrawingScale) => void (at.current = next), []);
  return { onCanvas, onScale, isTurning, hands, turnTo, turnBy };
}

const prefersStill = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;
