/** What is wrong with the text of a field, and how to write it, in one sentence each. */
export const FIELD_FAULTS = {
  pointAndComma: (text: string) =>
    `“${text.slice(0, 24)}” has a point, and this file’s decimal mark is the comma.`,
  noneOf: (text: string, codes: readonly string[]) =>
    `“${text.slice(0, 24)}” is none of: ${codes.join(', ')}.`,
  tooLong: (longest: number) => `${longest} characters at the most.`,
  nameless: () => 'Give it a name.',
  noDay: (text: string) => `“${text.slice(0, 24)}” is not a day. Write it as year-month-day: 2026-11-25.`,
  noColour: (text: string) => `“${text.slice(0, 24)}” is not a colour. Write # and six digits: #2f5d8a.`,
  noSample: (text: string) =>
    `“${text.slice(0, 40)}” is not a sample. Write it like: 2026-11-25 #2f5d8a at 0.4 % in white of 25 mm.`,
  noShare: (text: string) => `“${text.slice(0, 40)}” has no share. Write name and percent: Linalool 12 %.`,
  noUse: (text: string, uses: readonly string[]) =>
    `“${text.slice(0, 40)}” is no limit for a use. Write the use and percent, such as face 1 %. Uses: ${uses.join(', ')}.`,
  noPart: (text: string) =>
    `“${text.slice(0, 40)}” is not a part. Write parts and name: 2x Lime oil; 1x Bay oil.`,
  notOnShelf: (name: string) => `“${name.slice(0, 40)}” is not on the shelf. Put the fragrance there first.`,
  noReading: (text: string) =>
    `“${text.slice(0, 40)}” is not a reading. Write it like: 2026-11-25 20 drops 0.94 g.`,
  noProfilePoint: (text: string) =>
    `“${text.slice(0, 24)}” is not a pair. Write height and half the width in mm: 0 20; 12 24.`,
  noWaterStep: (text: string) =>
    `“${text.slice(0, 24)}” is not a pair. Write mL in all and the height in mm: 20 6; 40 11.`,
  noModel: () => 'Open a model file, and make it the cavity.',
  notTaught: () => 'Teach it anew from the pour plan.',
  noShape: () => 'The shape can’t be so.',
};
