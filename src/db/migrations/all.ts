import type { Migration } from '../migrate';
import { firstSlice } from './0001_first_slice';
import { shelf } from './0002_shelf';
import { molds } from './0003_molds';
import { embeds } from './0004_embeds';
import { heat } from './0005_heat';
import { spine } from './0006_spine';
import { foundRuns } from './0007_found_runs';
import { stockItems } from './0008_stock_items';
import { jugsAndScales } from './0009_jugs_and_scales';
import { plansByChange } from './0010_plans_by_change';
import { putAway } from './0011_put_away';
import { recordVersions } from './0012_record_versions';
import { tasksOfEntries } from './0013_tasks_of_entries';
import { runReadings } from './0014_run_readings';
import { batchCodes } from './0015_batch_codes';
import { instrumentChecks } from './0016_instrument_checks';
import { rack } from './0017_rack';
import { runSearch } from './0018_run_search';
import { files } from './0019_files';
import { runMeasures } from './0020_run_measures';
import { rackAir } from './0021_rack_air';
import { measuresAgain } from './0022_measures_again';
import { products } from './0023_products';
import { purchases } from './0024_purchases';
import { finishedGoods } from './0025_finished_goods';
import { paid } from './0026_paid';
import { frozenRuns } from './0027_frozen_runs';
import { planNames } from './0028_plan_names';
import { places } from './0029_places';

/** In order; only ever added to. */
export const MIGRATIONS: readonly Migration[] = [
  firstSlice,
  shelf,
  molds,
  embeds,
  heat,
  spine,
  foundRuns,
  stockItems,
  jugsAndScales,
  plansByChange,
  putAway,
  recordVersions,
  tasksOfEntries,
  runReadings,
  batchCodes,
  instrumentChecks,
  rack,
  runSearch,
  files,
  runMeasures,
  rackAir,
  measuresAgain,
  products,
  purchases,
  finishedGoods,
  paid,
  frozenRuns,
  planNames,
  places,
];
