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

/** A fault, and the round that it was seen in, from 0. */
export interface FaultOfRound {
  seen: FaultSeen;
  round: number;
}

/** Every fault that was seen at any look, as it was seen last: a later look for something else takes none away. */
export function faultsOfRounds(inspections: readonly Inspection[]): FaultOfRound[] {
  const last = new Map<string, FaultOfRound>();
  for (const { round, faults } of inspections)
    for (const seen of faults) last.set(`${round} ${seen.fault}`, { seen, round });
  return [...last.values()];
}

/** Good pieces by the last inspection of each round; null while one was not looked at. */
export function goodPiecesSeen(inspections: readonly Inspection[], rounds: number): number | null {
  const last = lastOfRounds(inspections);
  return last.length < rounds ? null : last.reduce((sum, { pieces }) => sum + pieces.good, 0);
}

/** Weights of pieces as they were weighed last, of all rounds, g. */
export function lastWeightsG(inspections: readonly Inspection[]): number[] {
  return lastOfRounds(inspections.filter(({ weightsG }) => weightsG.length > 0)).flatMap(
    ({ weightsG }) => weightsG,
  );
}

/** What pieces weigh on average as they were weighed first, before they dried: of all rounds, g; null where none was. */
export function inspectionWeightG(inspections: readonly Inspection[]): number | null {
  const first = new Map<number, readonly number[]>();
  for (const { round, weightsG } of inspections)
    if (weightsG.length > 0 && !first.has(round)) first.set(round, weightsG);
  const all = [...first.values()].flat();
  return all.length === 0 ? null : all.reduce((sum, each) => sum + each, 0) / all.length;
}

/** How much lighter a round's pieces got between its first weighing and its last. */
export interface Dried {
  round: number;
  /** Of their mean weight; below nothing where they got heavier. */
  fraction: number;
  lengthS: number;
}

/** What drying did to each round that was weighed twice or more. */
export function driedSince(inspections: readonly Inspection[]): Dried[] {
  const mean = ({ weightsG }: Inspection) => weightsG.reduce((sum, each) => sum + each, 0) / weightsG.length;
  const weighed = inspections.filter(({ weightsG }) => weightsG.length > 0);
  return lastOfRounds(weighed).flatMap((last) => {
    const first = weighed.find(({ round }) => round === last.round);
    if (!first || first === last) return [];
    const lengthS = (Date.parse(last.at) - Date.parse(first.at)) / 1000;
    return [{ round: last.round, fraction: 1 - mean(last) / mean(first), lengthS }];
  });
}
