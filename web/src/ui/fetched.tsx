import { type ComponentType, lazy, useState } from 'react';

/** A component whose code is fetched when it is first drawn, or ahead of that. */
export type Fetched = ComponentType & {
  /** Fetch its code now; what is here when it is first drawn is drawn without a pause. */
  ahead(): Promise<void>;
};

/**
 * A component fetched apart from the page it stands on.
 * React draws a fallback first for every `lazy`, and holds the component back a moment after it: not so where its code is here already.
 */
export function fetched(load: () => Promise<ComponentType>): Fetched {
  let here: ComponentType | null = null;
  const get = async (): Promise<ComponentType> => {
    here ??= await load();
    return here;
  };
  const Later = lazy(async () => ({ default: await get() }));
  return Object.assign(() => <Chosen of={() => here ?? Later} />, { ahead: async () => void (await get()) });
}

/** Chosen once for each time it is put on a page: changed in between, it would lose what was typed in it. */
function Chosen({ of }: { of: () => ComponentType }) {
  const [Here] = useState(() => of());
  return <Here />;
}
