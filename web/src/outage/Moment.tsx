import { fieldOf, momentOf } from './moments.ts';
import { Typed } from './Typed.tsx';

/** A day and a time by the plant’s clock. */
export const Moment = ({
  label,
  value,
  zone,
  onMoment,
}: {
  label: string;
  value: string;
  zone: string;
  onMoment: (at: string) => void;
}) => (
  <Typed
    label={label}
    type="datetime-local"
    shown={fieldOf(value, zone)}
    read={(text) => {
      const at = momentOf(text, zone);
      return at ? { value: at } : { message: 'A day and a time.' };
    }}
    onValue={onMoment}
  />
);
