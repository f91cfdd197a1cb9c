import type { ReactNode } from 'react';

/** A part of a drawing that is pressed: said by its name, reached by the keyboard. */
export function DrawnButton({
  name,
  onPress,
  marks,
  children,
}: {
  name: string;
  onPress: () => void;
  /** What tests call it by. */
  marks: Readonly<Record<`data-${string}`, string | number>>;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing has no buttons of its own
    <g
      role="button"
      tabIndex={0}
      aria-label={name}
      {...marks}
      className="cursor-pointer outline-offset-2"
      onClick={onPress}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        onPress();
      }}
    >
      {children}
    </g>
  );
}
