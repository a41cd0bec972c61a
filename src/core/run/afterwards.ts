import type { Photo } from '../files/photo';
import type { Inspection } from '../inspection/inspection';
import type { Aside } from '../pieces/aside';
import type { Cut } from '../pieces/cut';
import type { Feel, RecordedEvent } from './run';

/** What sets was felt, for the task that takes it out or cuts it. */
export interface Felt {
  taskId: string;
  at: string;
  how: Feel;
}

/** What was seen and said of a run's pieces once they were poured. */
export interface Afterwards {
  feels: Felt[];
  /** As they came, without those that were withdrawn. */
  inspections: Inspection[];
  /** Without those that were taken back. */
  cuts: Cut[];
  asides: Aside[];
  photos: Photo[];
  /** Complaints and reactions, as they came back. */
  complaints: { at: string; words: string; from: string; done: string }[];
  /** Words that came later. */
  remarks: { at: string; note: string }[];
}

export function afterwardsOf(events: readonly RecordedEvent[]): Afterwards {
  const told: Afterwards = {
    feels: [],
    inspections: [],
    cuts: [],
    asides: [],
    photos: [],
    complaints: [],
    remarks: [],
  };
  for (const { occurredAt: at, event } of events) {
    switch (event.kind) {
      case 'felt':
        told.feels.push({ taskId: event.taskId, at, how: event.how });
        break;
      case 'forgotten': {
        const place = told.feels.findLastIndex(({ taskId }) => taskId === event.taskId);
        if (place >= 0) told.feels.splice(place, 1);
        break;
      }
      case 'inspected': {
        const { kind: _, ...said } = event;
        told.inspections.push({ ...said, at });
        break;
      }
      case 'withdrawn':
        told.inspections = told.inspections.filter(({ inspectionId }) => inspectionId !== event.inspectionId);
        break;
      case 'cut': {
        const { kind: _, ...said } = event;
        told.cuts.push({ ...said, at });
        break;
      }
      case 'set-aside': {
        const { kind: _, ...said } = event;
        told.asides.push({ ...said, at });
        break;
      }
      case 'photographed': {
        const { kind: _, ...said } = event;
        told.photos.push({ ...said, at });
        break;
      }
      case 'taken-back':
        told.photos = told.photos.filter(({ photoId }) => photoId !== event.entryId);
        told.cuts = told.cuts.filter(({ cutId }) => cutId !== event.entryId);
        told.asides = told.asides.filter(({ asideId }) => asideId !== event.entryId);
        break;
      case 'complained': {
        const { words, from, done } = event;
        told.complaints.push({ at, words, from, done });
        break;
      }
      case 'remarked':
        told.remarks.push({ at, note: event.note });
        break;
      default:
    }
  }
  return told;
}
