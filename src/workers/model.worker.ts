import { modelShape, type ReadModel, readModel } from '../core/molds/stl/modelShape';
import { readStl } from '../formats/stl';
import { modelFaultWords, stlFaultWords } from '../formats/stlWords';
import type { ModelAnswer, ModelRequest } from './modelProtocol';

/** Reads a model file and makes a cavity of it beside the page, so that the page never waits. */
let model: ReadModel | undefined;

const answer = (message: ModelAnswer) => postMessage(message);

self.onmessage = ({ data }: MessageEvent<ModelRequest>) => {
  if (data.kind === 'read') {
    const soup = readStl(data.bytes);
    if (!soup.success) return answer({ kind: 'fault', reason: stlFaultWords(soup.error) });
    const read = readModel(soup.data);
    if (!read.success) return answer({ kind: 'fault', reason: modelFaultWords(read.error) });
    model = read.data;
    return answer({ kind: 'read', report: model.report, size: model.size });
  }
  if (!model) return;
  const shape = modelShape(model, data.unitMm, data.brim, (done, of) =>
    answer({ kind: 'progress', done, of }),
  );
  answer({ kind: 'shape', shape });
};
