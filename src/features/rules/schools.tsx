'use client';
import { useState } from 'react';
import { SWITCHES, type Limit, type Protocol } from '@/core/protocol';
import { leftOutWords, limitWords } from '@/kitchen/words';
import { schoolRows } from './model';

interface Chosen {
  readonly protocol: Protocol;
  readonly limit: Limit;
}

/** Where a limit comes from, in a sentence. */
function Source({ chosen }: { chosen: Chosen | null }) {
  return (
    <p aria-live="polite" className="min-h-[44px] border-t-[1.5px] border-hair px-3 py-2 text-[13.5px]">
      {chosen ? (
        <>
          <b className="font-semibold">
            {chosen.protocol.name}, {chosen.limit.label.toLowerCase()} {limitWords(chosen.limit)}
          </b>
          {chosen.limit.aim !== undefined && (
            <>
              , better {chosen.limit.bound === 'most' ? 'below' : 'above'} {chosen.limit.aim}
            </>
          )}
          {chosen.limit.because && <>: {chosen.limit.because}</>}.{' '}
          <span className="text-mute">Source: {chosen.limit.source}.</span>
        </>
      ) : (
        <span className="text-mute">Choose a limit to see where it comes from.</span>
      )}
    </p>
  );
}

/** The schools side by side on one sheet; rows in which they differ are marked. */
export function Schools({
  protocols,
  current,
  onOpen,
}: {
  protocols: readonly Protocol[];
  current: string;
  onOpen: (protocol: Protocol) => void;
}) {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const rows = schoolRows(protocols);
  const here = (p: Protocol) => (p.id === current ? 'bg-pick' : '');
  return (
    <section className="sheet overflow-hidden" aria-label="The schools side by side">
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Limits of each protocol">
        <table className="num w-full border-collapse text-[13.5px]">
          <thead>
            <tr className="border-b-2 border-rim align-bottom">
              <th
                scope="col"
                className="sticky left-0 z-10 bg-sheet px-3 py-2 text-left text-[12px] font-medium text-mute"
              >
                a dash: no limit · ≠ they differ
              </th>
              {protocols.map((p) => (
                <th key={p.id} scope="col" className={`min-w-[128px] px-2 py-2 text-left ${here(p)}`}>
                  <button
                    type="button"
                    onClick={() => onOpen(p)}
                    className="text-left font-semibold leading-tight underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
                  >
                    {p.name}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.key} className="border-b border-hair/60">
                <th
                  scope="row"
                  className="sticky left-0 z-10 max-w-[210px] bg-sheet px-3 py-1.5 text-left font-medium"
                >
                  {row.differs && (
                    <span title="the schools differ" className="mr-1.5 text-mute">
                      ≠
                    </span>
                  )}
                  {row.label}
                </th>
                {row.cells.map((limit, i) => {
                  const protocol = protocols[i] as Protocol;
                  const isChosen = chosen?.protocol.id === protocol.id && chosen.limit === limit;
                  return (
                    <td key={protocol.id} className={`px-2 py-1 ${here(protocol)}`}>
                      {limit ? (
                        <button
                          type="button"
                          aria-pressed={isChosen}
                          onClick={() => setChosen(isChosen ? null : { protocol, limit })}
                          className={`-mx-1 min-h-[26px] rounded px-1 text-left hover:underline ${isChosen ? 'bg-rim text-sheet' : ''}`}
                        >
                          {limitWords(limit)}
                          {leftOutWords(limit) && (
                            <span className={`block text-[12px] ${isChosen ? '' : 'text-mute'}`}>
                              {leftOutWords(limit)}
                            </span>
                          )}
                        </button>
                      ) : (
                        <span className="text-mute">–</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
          <tbody className="border-t-2 border-rim">
            {Object.entries(SWITCHES).map(([id, question]) => {
              const positions = protocols.map((p) => p.source.switches[id]);
              const differs = new Set(positions).size > 1;
              return (
                <tr key={id} className="border-b border-hair/60 last:border-0">
                  <th
                    scope="row"
                    className="sticky left-0 z-10 max-w-[210px] bg-sheet px-3 py-1.5 text-left font-medium"
                  >
                    {differs && (
                      <span title="the schools differ" className="mr-1.5 text-mute">
                        ≠
                      </span>
                    )}
                    {question.label}
                  </th>
                  {protocols.map((p, i) => (
                    <td key={p.id} className={`px-2 py-1 ${here(p)}`}>
                      {question.options.find((o) => o.id === positions[i])?.label ?? (
                        <span className="text-mute">–</span>
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Source chosen={chosen} />
    </section>
  );
}
