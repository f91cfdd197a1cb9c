import { Button } from '../ui/controls.tsx';

/** Leave one of a list out; its name tells the ear which. */
export const Out = ({ what, onOut }: { what: string; onOut: () => void }) => (
  <Button weight="bare" aria-label={`Out: ${what}`} onClick={onOut}>
    Out
  </Button>
);
