import type { Text } from '@fulcrant/core/messages';
import { lengthDigits } from '@fulcrant/core/units';
import { useSay, useSettings } from './settings.tsx';

/** Digits in the mono with the wide decimal point closed up. */
export function Digits({ text, className = '' }: { text: Text; className?: string }) {
  const say = useSay();
  const [whole, part] = say(text).split('.');
  return (
    <span className={`figures whitespace-nowrap ${className}`}>
      {whole}
      {part !== undefined && (
        <>
          <span className="point">.</span>
          {part}
        </>
      )}
    </span>
  );
}

/** A length in the unit in force. */
export function Length({
  mm,
  decimals = 3,
  unit = true,
  className = '',
}: {
  mm: number;
  decimals?: number;
  unit?: boolean;
  className?: string;
}) {
  const { unit: inForce } = useSettings();
  return (
    <span className={`whitespace-nowrap ${className}`}>
      <Digits text={lengthDigits(mm, inForce, decimals)} />
      {unit && <span className="ml-1 text-[0.72em]">{inForce}</span>}
    </span>
  );
}
