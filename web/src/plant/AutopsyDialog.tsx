import { autopsy, whenOf } from '@fulcrant/core/history';
import { allTrades, failureGuideOf, failureGuides } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { call } from '../data/api.ts';
import { faultsOf } from '../data/asked.ts';
import type { PositionTold } from '../data/register.ts';
import { Photo } from '../entry/Photo.tsx';
import { TakePhoto } from '../entry/TakePhoto.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** A part in the hand, looked at by questions; what they and its own sheet point to stands beside them as they are answered. */
export function AutopsyDialog({ told, onClose }: { told: PositionTold; onClose: () => void }) {
  const say = useSay();
  const client = useQueryClient();
  const signed = told.past.filter((j) => j.signedAt !== null);
  const [jobId, setJobId] = useState(signed[0]?.jobId ?? '');
  const fitted = signed.find((j) => j.jobId === jobId);
  const guides = failureGuides();
  const [kind, setKind] = useState(
    allTrades().find((t) => t.id === fitted?.kind)?.slots.part?.failure?.id ?? guides[0]?.id ?? '',
  );
  const [seen, setSeen] = useState<Record<string, string>>({});
  const [words, setWords] = useState('');
  const [photos, setPhotos] = useState<string[]>([]);
  const [fault, setFault] = useState<Text | null>(null);
  const livedDays = fitted?.signedAt
    ? Math.round((Date.now() - Date.parse(fitted.signedAt)) / 86_400_000)
    : null;
  const causes = autopsy({ kind, seen, results: fitted?.results ?? {}, livedDays });
  const { questions = [], title = '' } = failureGuideOf(kind) ?? {};
  const keep = async () => {
    try {
      await call('POST', `/api/positions/${told.card.id}/autopsies`, {
        kind,
        seen,
        words: words.trim(),
        photos,
        ...(fitted ? { jobId } : {}),
      });
      await client.invalidateQueries({ queryKey: ['position', told.card.id] });
      onClose();
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
  };
  return (
    <Dialog open onClose={onClose} title={title} wide>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div>
          <div className="grid gap-x-6 gap-y-2 pb-3 sm:grid-cols-2">
            <div>
              <span className="kicker">{say(COMMON.failureReport)}</span>
              <Choice
                label={say(COMMON.failureReport)}
                value={kind}
                options={guides.map((g) => [g.id, g.part] as const)}
                onChange={(k) => {
                  setKind(k);
                  setSeen({});
                }}
              />
            </div>
            {signed.length > 0 && (
              <div>
                <span className="kicker">{say(M.fitted)}</span>
                <Choice
                  label={say(M.fitted)}
                  value={jobId}
                  options={signed.map(
                    (j) =>
                      [
                        j.jobId,
                        `${say(j.sheet)} ${j.number}, ${format(new Date(whenOf(j)), 'd MMM yyyy')}`,
                      ] as const,
                  )}
                  onChange={setJobId}
                />
              </div>
            )}
          </div>
          {questions.map((q) => (
            <fieldset key={q.id} className="m-0 border-0 border-t border-faint p-0 py-2">
              <legend className="sr-only">
                <Words of={q.ask} />
              </legend>
              <p className="m-0 font-medium">
                <Words of={q.ask} />
              </p>
              <p className="m-0 mb-1 text-sm text-muted">
                <Words of={q.look} />
              </p>
              <ToggleGroup.Root
                type="single"
                aria-label={say(q.ask)}
                value={seen[q.id] ?? ''}
                onValueChange={(v) => {
                  const { [q.id]: _before, ...others } = seen;
                  setSeen(v ? { ...others, [q.id]: v } : others);
                }}
                className="flex flex-wrap gap-2"
              >
                {q.answers.map(([id, said]) => (
                  <ToggleGroup.Item
                    key={id}
                    value={id}
                    className="min-h-12 border border-muted px-3 text-left data-[state=on]:border-2 data-[state=on]:border-brass data-[state=on]:font-semibold"
                  >
                    <Words of={said} />
                  </ToggleGroup.Item>
                ))}
              </ToggleGroup.Root>
            </fieldset>
          ))}
          <TextField label={say(M.yourOwnWords)} value={words} onText={setWords} maxLength={1000} />
          <div className="mt-3 flex flex-wrap items-end gap-3">
            {photos.map((hash) => (
              <button
                key={hash}
                type="button"
                className="w-32"
                aria-label={say(M.leavePhotographOut)}
                title={say(M.leaveOut)}
                onClick={() => setPhotos(photos.filter((p) => p !== hash))}
              >
                <Photo hash={hash} words={say(COMMON.failureReport)} />
              </button>
            ))}
            {photos.length < 8 && (
              <TakePhoto
                onTaken={async ({ hash }) => {
                  setPhotos((before) => [...new Set([...before, hash])]);
                  return null;
                }}
              />
            )}
          </div>
        </div>
        <aside
          aria-label={say(M.whatPoints)}
          className="border-t border-rule pt-2 lg:border-l lg:border-t-0 lg:pl-5 lg:pt-0"
        >
          <h3 className="kicker m-0">{say(M.whatPoints)}</h3>
          {causes.length === 0 && <p className="text-muted">{say(M.answerWhatYouSee)}</p>}
          <ol className="m-0 list-none p-0">
            {causes.slice(0, 4).map((c) => (
              <li
                key={c.id}
                className={`border-b border-faint py-2 ${c.likelihood === 'spoken-against' ? 'text-muted' : ''}`}
              >
                <p className="m-0 font-medium leading-tight">
                  <Words of={c.cause} />
                </p>
                <p className="m-0 text-sm text-brass">
                  {c.likelihood === 'likely'
                    ? say(M.likely)
                    : c.likelihood === 'possible'
                      ? say(M.possible)
                      : say(M.moreSpeaksAgainst)}
                </p>
                <p className="m-0 text-sm">
                  +{' '}
                  {c.speaksFor
                    .map((s) => s.words)
                    .map((x) => say(x))
                    .join('; ')}
                </p>
                {c.speaksAgainst.length > 0 && (
                  <p className="m-0 text-sm">
                    −{' '}
                    {c.speaksAgainst
                      .map((s) => s.words)
                      .map((x) => say(x))
                      .join('; ')}
                  </p>
                )}
              </li>
            ))}
          </ol>
          {livedDays !== null && <p className="text-sm text-muted">{say(M.livedDays({ livedDays }))}</p>}
        </aside>
      </div>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      <div className="mt-4 flex gap-3">
        <Button weight="solid" disabled={Object.keys(seen).length === 0} onClick={() => void keep()}>
          {say(M.keepPosition)}
        </Button>
        <Button onClick={onClose}>{say(COMMON.leave)}</Button>
      </div>
    </Dialog>
  );
}
