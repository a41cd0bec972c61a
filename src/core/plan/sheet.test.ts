import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import {
  additive,
  base,
  fragrance,
  isClose,
  mold,
  planFile,
  sheetOf,
} from '../../../tests/support/planFiles';
import { fillForPieceWeight, piecesFromBase } from './backwards';
import { makeSheet } from './makeSheet';
import type { PlanFile } from './plan';
import { baseShare, productShare } from './product';
import { scalePlan } from './scalePlan';

const percent = fc.integer({ min: 0, max: 500 }).map((hundredths) => `${hundredths / 100} %`);
const density = fc.integer({ min: 60, max: 200 }).map((hundredths) => hundredths / 100);
const anyDose = fc.record({ text: percent, densityGPerMl: density });

const anyPour = fc.record({
  parts: fc.integer({ min: 1, max: 20 }),
  densityGPerMl: density,
  doses: fc.array(anyDose, { maxLength: 6 }),
});

/** Plans of one to eight pours whose doses are all shares of the base. */
const anyFile = fc
  .record({
    pours: fc.array(anyPour, { minLength: 1, maxLength: 8 }),
    pieces: fc.integer({ min: 1, max: 500 }),
    fillFraction: fc.integer({ min: 5, max: 100 }).map((hundredths) => hundredths / 100),
    jugLossFraction: fc.integer({ min: 0, max: 50 }).map((hundredths) => hundredths / 100),
    capacityMl: fc.integer({ min: 5, max: 2000 }),
  })
  .map(({ pours, capacityMl, ...plan }) =>
    planFile(
      pours.map((pour, p) => ({
        base: base({ id: `base-${p}`, densityGPerMl: pour.densityGPerMl }),
        parts: pour.parts,
        doses: pour.doses.map(({ text, densityGPerMl }, d) => [
          additive({ id: `extra-${p}-${d}`, densityGPerMl }),
          text,
        ]),
      })),
      plan,
      mold({ capacityMl }),
    ),
  );

test('a bar worked by hand', () => {
  // 6 cavities of 100 mL to the brim, 5 % left in the jug: 631.579 mL in the jug.
  // 1 g of base with 2 % of scent takes 1/1.05 + 0.02/0.95 = 0.973434 mL, so 648.816 g of base, 12.976 g of scent.
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2 %']] }], { jugLossFraction: 0.05 }));
  assert.ok(isClose(sheet.totals.baseG, 648.8157, 1e-6));
  assert.ok(isClose(sheet.pours[0]?.lines[0]?.massG ?? 0, 12.9763, 1e-5));
  assert.ok(isClose(sheet.totals.pieceG, ((648.8157 + 12.97631) * 0.95) / 6, 1e-6));
});

test('base and additions together fill the cavities, whatever the pours', () => {
  fc.assert(
    fc.property(anyFile, (file) => {
      const { pours, totals } = sheetOf(file);
      const fillMl = file.plan.pieces * file.mold.capacityMl * file.plan.fillFraction;
      const poured = pours.reduce((sum, pour) => {
        const itsVolumeMl =
          pour.baseG / (pour.base.densityGPerMl ?? 0) +
          pour.lines.reduce((ml, line) => ml + line.massG / (line.material.densityGPerMl ?? 0), 0);
        return sum + itsVolumeMl * (1 - file.plan.jugLossFraction);
      }, 0);
      assert.ok(isClose(poured, fillMl));
      assert.ok(isClose(totals.intoMoldMl, fillMl));
    }),
  );
});

test('the parts of every pour sum to the whole', () => {
  fc.assert(
    fc.property(anyFile, (file) => {
      const { pours, totals, pieces } = sheetOf(file);
      for (const pour of pours) {
        const weighed = pour.lines.reduce((sum, line) => sum + line.massG, pour.baseG);
        assert.ok(isClose(weighed, pour.jugG));
        const shares = pour.lines.reduce((sum, line) => sum + line.ofProduct, pour.baseG / pour.jugG);
        assert.ok(isClose(shares, 1));
        for (const line of pour.lines) {
          assert.ok(isClose(line.ofProduct, productShare(line.ofBase, pour.additionsOfBase)));
        }
      }
      assert.ok(isClose(totals.baseG + totals.additionsG, totals.jugG));
      assert.ok(isClose(totals.intoMoldG + totals.leftInJugG, totals.jugG));
      assert.ok(isClose(totals.pieceG * pieces, totals.intoMoldG));
    }),
  );
});

test('scaling the pieces scales every weight', () => {
  fc.assert(
    fc.property(anyFile, fc.integer({ min: 1, max: 500 }), (file, pieces) => {
      const before = sheetOf(file);
      const after = sheetOf({ ...file, plan: scalePlan(file.plan, pieces, file) });
      const factor = pieces / file.plan.pieces;
      before.pours.forEach((pour, p) => {
        assert.ok(isClose(after.pours[p]?.baseG ?? 0, pour.baseG * factor));
        pour.lines.forEach((line, l) => {
          assert.ok(isClose(after.pours[p]?.lines[l]?.massG ?? 0, line.massG * factor));
        });
      });
    }),
  );
});

test('scaling writes fixed doses anew and keeps shares as typed', () => {
  const { plan } = planFile([
    {
      doses: [
        [fragrance(), '6 g'],
        [additive(), '2 %'],
      ],
    },
  ]);
  const scaled = scalePlan(plan, 12, { mold: mold() }).pours[0]?.doses;
  assert.deepEqual(
    scaled?.map(({ text }) => text),
    ['12 g', '2 %'],
  );
});

test('percent of base and percent of product undo each other', () => {
  const share = fc.double({ min: 0, max: 0.9, noNaN: true });
  fc.assert(
    fc.property(share, share, (ofBase, others) => {
      const ofProduct = productShare(ofBase, others + ofBase);
      assert.ok(Math.abs(baseShare(ofProduct, others) - ofBase) <= 1e-12);
    }),
  );
});

test('backwards: as many pieces as the base on hand makes, and not one more', () => {
  fc.assert(
    fc.property(anyFile, fc.integer({ min: 1, max: 20_000 }), (file, onHandG) => {
      const sheet = sheetOf(file);
      const first = sheet.pours[0]?.base.id ?? '';
      const { pieces } = piecesFromBase(sheet, new Map([[first, onHandG]]));
      const perPieceG =
        sheet.pours.filter(({ base: { id } }) => id === first).reduce((sum, { baseG }) => sum + baseG, 0) /
        sheet.pieces;
      assert.ok(pieces * perPieceG <= onHandG * (1 + 1e-9));
      assert.ok((pieces + 1) * perPieceG > onHandG * (1 - 1e-9));
    }),
  );
});

test('backwards: the fill found for a weight gives that weight, fixed doses included', () => {
  const withFixed = (file: PlanFile): PlanFile => {
    const extra = additive({ id: 'fixed', densityGPerMl: 1.3 });
    const more = planFile([{ doses: [[extra, '1 g']] }]).plan.pours[0]?.doses ?? [];
    const pours = file.plan.pours.map((pour) => ({ ...pour, doses: [...pour.doses, ...more] }));
    return { ...file, plan: { ...file.plan, pours }, materials: [...file.materials, extra] };
  };
  fc.assert(
    fc.property(
      anyFile.map(withFixed).filter((file) => makeSheet(file).success),
      (file) => {
        const found = fillForPieceWeight(file, sheetOf(file).totals.pieceG);
        assert.ok(found.success);
        assert.ok(isClose(found.data, file.plan.fillFraction));
      },
    ),
  );
});

test('backwards: a piece heavier than the cavity holds is refused with the most it holds', () => {
  const found = fillForPieceWeight(planFile([{}]), 112);
  assert.deepEqual(found.success || found.error.code, 'overfull');
  assert.ok(!found.success && found.error.code === 'overfull' && isClose(found.error.mostG, 105));
});

test('additions that leave no room for base give a reason instead of a sheet', () => {
  const made = makeSheet(planFile([{ doses: [[additive(), '900 g']] }]));
  assert.deepEqual(made.success || made.error.code, 'no-room-for-base');
});

test('a dose that cannot be read is in no weight and is named', () => {
  const sheet = sheetOf(planFile([{ doses: [[fragrance(), '2,5']] }]));
  assert.equal(sheet.totals.additionsG, 0);
  assert.equal(sheet.pours[0]?.unreadable[0]?.text, '2,5');
});
