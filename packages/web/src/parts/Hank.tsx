import { useEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import { plainLook, type YarnLook } from '@ythrion/core';
import { drawnYarn } from './yarn/drawnYarn';
import type { Shown, YarnPicture } from './yarn/drawYarn';
import { useYarnPainting } from './yarn/painting';

/** Typing has rested when nothing came for this long, ms. */
const REST_MS = 120;

export interface HankProps {
  /** One color all over; for more than that, give the look. */
  hex?: string;
  look?: YarnLook;
  seed: string;
  /** What the picture shows, for those who cannot see it. */
  label: string;
  shown?: Shown;
  width: number;
  height: number;
  unevenness?: number;
}

/** Goods, drawn strand by strand: a hank, or whatever else they are. */
export function Hank({
  hex = '#efe9dc',
  look,
  seed,
  label,
  shown = 'open',
  width,
  height,
  unevenness = 0.15,
}: HankProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawn = useRef(false);
  const painting = useYarnPainting();
  // What is drawn, as text: a plan made anew draws nothing anew unless the yarn looks different.
  const picture = JSON.stringify({ look: look ?? { ...plainLook(hex), unevenness }, seed, shown });
  useEffect(() => {
    const draw = (): void => {
      const pen = canvas.current?.getContext('2d');
      if (!canvas.current || !pen) return;
      const scale = window.devicePixelRatio || 1;
      canvas.current.width = width * scale;
      canvas.current.height = height * scale;
      pen.drawImage(
        drawnYarn(picture, JSON.parse(picture) as YarnPicture, { width, height, scale }, painting),
        0,
        0,
      );
      drawn.current = true;
    };
    // The first picture at once; later ones when the typing rests, so that a keystroke never waits for yarn.
    if (!drawn.current) return draw();
    const timer = setTimeout(draw, REST_MS);
    return () => clearTimeout(timer);
  }, [picture, width, height, painting]);
  return (
    <Box
      component="canvas"
      ref={canvas}
      role="img"
      aria-label={label}
      sx={{ width, height, display: 'block', flex: 'none' }}
    />
  );
}
