import type { z } from '../zod';
import type { faultSeenSchema, inspectionSchema } from './inspectionSchema';

export type FaultSeen = z.infer<typeof faultSeenSchema>;

/** What somebody saw of the pieces of a round. */
export type InspectionSaid = z.infer<typeof inspectionSchema>;

/** An inspection with its moment, ISO 8601. */
export type Inspection = InspectionSaid & { at: string };

/** The pieces that an inspection sorted. */
export function piecesSeen({
  pieces: { good, second, scrap, remelt },
}: Pick<InspectionSaid, 'pieces'>): number {
  return good + second + scrap + remelt;
}

/** What counts of each round: its last inspection. */
export function lastOfRounds(inspections: readonly Inspection[]): Inspection[] {
  return [...new Map(inspections.map((each) => [each.round, each])).values()];
}

/** Good pieces by the last inspection of each round; null while one was not looked at. */
export function goodPiecesSeen(inspections: readonly Inspection[], rounds: number): number | null {
  const last = lastOfRounds(inspections);
  return last.length < rounds ? null : last.reduce((sum, { pieces }) => sum + pieces.good, 0);
}
