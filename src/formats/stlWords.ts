import type { ModelFault } from '../core/molds/stl/modelShape';
import type { StlFault } from './stl';

/** Why a model file can't be read, and what to do. */
export function stlFaultWords(fault: StlFault): string {
  switch (fault.code) {
    case 'empty':
      return 'The file is empty. Export the model once more.';
    case 'too-large':
      return `The model has ${fault.triangles} triangles, and ${fault.most} are the most. Export it more coarsely.`;
    case 'cut-short':
      return `The file says ${fault.triangles} triangles and holds ${fault.found}: it was cut short. Copy or export it once more.`;
    case 'not-stl':
      return 'That is no STL file. Export the inside of the mold as STL, binary or text.';
    case 'bad-number':
      return `Line ${fault.line} has “${fault.text}” where a number should be. Export the model once more.`;
  }
}

/** Why a model has no inside to pour into. */
export function modelFaultWords(fault: ModelFault): string {
  if (fault.code === 'flat')
    return 'The model has no inside: all of it is flat. Export the body of the cavity.';
  const { openEdges, crowdedEdges } = fault.report;
  const holes =
    openEdges > 0
      ? `${openEdges} edges border on holes that are not flat, so they can’t be closed safely`
      : '';
  const crowds = crowdedEdges > 0 ? `at ${crowdedEdges} edges more than two faces meet` : '';
  return `The model has no clear inside: ${[holes, crowds].filter((each) => each !== '').join(', and ')}. Repair it where it was drawn, and export it again.`;
}
