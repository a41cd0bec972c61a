import { type LabelAsked, type SetLabel, setLabel } from '../../core/label/label';
import { labelCodes } from '../../formats/label/labelCodes';
import { type LabelPrint, labelPdf } from '../../formats/label/labelPdf';
import { labelFont } from '../labelFont';

/** What a label is set from, before its codes are drawn. */
export interface LabelInput {
  asked: Omit<LabelAsked, 'codes'>;
  batchCode: string | null;
  barcode: string | null;
}

/** A label with its texts in lines. */
export function setWithCodes({ asked, batchCode, barcode }: LabelInput): SetLabel {
  return setLabel({ ...asked, codes: labelCodes(batchCode, barcode) }, labelFont().metrics);
}

export function printLabels(print: LabelPrint): Promise<Uint8Array> {
  return labelPdf(print, labelFont());
}
