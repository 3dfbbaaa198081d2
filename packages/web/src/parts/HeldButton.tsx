import { useEffect, useRef, useState, type ReactNode } from 'react';
import Button, { type ButtonProps } from '@mui/material/Button';
import Typography from '@mui/material/Typography';

type HeldButtonProps = Omit<ButtonProps, 'onClick' | 'onPointerDown'> & {
  onHeld: () => void;
  children: ReactNode;
};

/** How long a finger has to stay, ms: longer than a drop of water touches the glass. */
const HELD_MS = 450;

/**
 * A key for what a slip of a wet finger must not do: it acts once it has been held. From the keyboard, or by what reads the
 * screen, it acts as any key does.
 */
export function HeldButton({ onHeld, children, ...props }: HeldButtonProps) {
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const [holding, setHolding] = useState(false);
  const [short, setShort] = useState(false);
  const letGo = (): void => {
    if (timer.current === null) return;
    clearTimeout(timer.current);
    timer.current = null;
    setHolding(false);
    setShort(true);
  };
  useEffect(() => () => clearTimeout(timer.current ?? undefined), []);
  return (
    <>
      <Button
        {...props}
        onPointerDown={() => {
          setHolding(true);
          setShort(false);
          timer.current = setTimeout(() => {
            timer.current = null;
            setHolding(false);
            onHeld();
          }, HELD_MS);
        }}
        onPointerUp={letGo}
        onPointerLeave={letGo}
        onPointerCancel={letGo}
        onContextMenu={(event) => event.preventDefault()}
        onClick={(event) => {
          if (event.detail === 0) onHeld();
        }}
        sx={{
          touchAction: 'manipulation',
          ...(holding && { outline: 4, outlineOffset: 2, outlineColor: 'text.primary' }),
          ...props.sx,
        }}
      >
        {children}
      </Button>
      {short && (
        <Typography variant="body2" role="status">
          Hold the key a moment: a large pour.
        </Typography>
      )}
    </>
  );
}

/** A key that puts something in: tapped, or held where the pour is large. */
export function PourButton({
  large,
  onPour,
  ...props
}: Omit<HeldButtonProps, 'onHeld'> & { large: boolean; onPour: () => void }) {
  return large ? <HeldButton {...props} onHeld={onPour} /> : <Button {...props} onClick={onPour} />;
}
