import { useEffect, useState } from 'react';
import type { RankingView } from '../shared/api';

/** What the board said when it was looked at. */
export interface Look {
  revision: number;
  at: string;
  /** Probability of each cause. */
  shares: Record<string, number>;
  evidence: Record<string, string>;
}

interface Kept {
  now: Look;
  before: Look | null;
}

const key = (caseId: string): string => `mute-tapper.look.${caseId}`;
/** A share that moved less is not said to have changed. */
export const MOVED = 0.005;

const isLook = (look: unknown): look is Look =>
  typeof look === 'object' && look !== null && 'shares' in look && 'evidence' in look && 'at' in look && 'revision' in look;

function read(caseId: string): Kept | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key(caseId)) ?? 'null') as Kept | null;
    return kept !== null && isLook(kept.now) && (kept.before === null || isLook(kept.before)) ? kept : null;
  } catch {
    return null;
  }
}

function lookAt(ranking: RankingView): Look {
  return {
    revision: ranking.revision,
    at: new Date().toISOString(),
    shares: Object.fromEntries(ranking.causes.map((one) => [one.code, one.probability])),
    evidence: ranking.evidence,
  };
}

/** Signs of which something else is known than at a look. */
export const changedSigns = (before: Look, ranking: RankingView): string[] =>
  [...new Set([...Object.keys(before.evidence), ...Object.keys(ranking.evidence)])].filter(
    (sign) => before.evidence[sign] !== ranking.evidence[sign],
  );

/**
 * What the board said the last time this browser looked at it with other evidence; null where it never did. Kept over reloads, and until
 * the evidence changes again.
 */
export function useLastLook(caseId: string, ranking: RankingView | undefined): Look | null {
  const [before, setBefore] = useState(() => read(caseId)?.before ?? null);
  useEffect(() => {
    if (ranking === undefined) return;
    const old = read(caseId);
    const isOther = old !== null && changedSigns(old.now, ranking).length > 0;
    const kept: Kept = { now: lookAt(ranking), before: isOther ? old.now : (old?.before ?? null) };
    try {
      localStorage.setItem(key(caseId), JSON.stringify(kept));
    } catch {
      // A full store forgets the look; nothing recorded hangs on it.
    }
    setBefore(kept.before);
  }, [caseId, ranking]);
  return before;
}
