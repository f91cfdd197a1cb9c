import { type PartTagsValues, TAGS, type Tag } from '@fulcrant/core/steps';
import { Button } from '../../ui/controls.tsx';
import { useSay, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';

type Props = {
  values: PartTagsValues;
  open: boolean;
  onTag(part: string, tag: Tag): void;
  /** Several at once; null at a practice job, where each is told. */
  onTags: ((parts: readonly string[], tag: Tag) => void) | null;
};

/** Parts laid out, a tag tied to each: one touch a part. */
export function PartTags({ values, open, onTag, onTags }: Props) {
  const say = useSay();
  const alwaysNew = values.parts.filter((p) => p.renewed && p.tag === null);
  return (
    <>
      {open && onTags && alwaysNew.length > 1 && (
        <p className="m-0">
          <Button
            onClick={() =>
              onTags(
                alwaysNew.map((p) => p.id),
                'renew',
              )
            }
            data-renew-all
          >
            {say(M.renewAllAlwaysNew({ count: alwaysNew.length }))}
          </Button>
        </p>
      )}
      <ul className="m-0 list-none border-t border-rule p-0">
        {values.parts.map((p) => (
          <li
            key={p.id}
            data-item={p.id}
            data-tag={p.tag ?? 'none'}
            className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-faint py-1"
          >
            <span className="min-w-56 flex-1 leading-snug">
              <span className="font-label text-xl font-semibold">
                <Words of={p.name} />
              </span>
              {p.renewed && (
                <span className="block text-sm text-muted">{say(M.alwaysNew({ renewed: p.renewed }))}</span>
              )}
            </span>
            <span className="flex gap-2">
              {(Object.keys(TAGS) as Tag[]).map((tag) => (
                <Button
                  key={tag}
                  disabled={!open}
                  aria-pressed={p.tag === tag}
                  aria-label={`${say(p.name)}: ${say(TAGS[tag])}`}
                  weight={p.tag === tag ? (p.renewed && tag === 'reuse' ? 'stop' : 'solid') : 'line'}
                  onClick={() => onTag(p.id, tag)}
                >
                  <Words of={TAGS[tag]} />
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
