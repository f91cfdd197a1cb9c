import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';
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
}) => {
  const say = useSay();
  return (
    <Typed
      label={label}
      type="datetime-local"
      shown={fieldOf(value, zone)}
      read={(text) => {
        const at = momentOf(text, zone);
        return at ? { value: at } : { message: say(M.dayTime) };
      }}
      onValue={onMoment}
    />
  );
};
