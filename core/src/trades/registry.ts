import { enrol } from '../engine/trades.ts';
import { dismountingTrade } from './dismounting/index.ts';
import { gearPumpTrade } from './gear-pump/index.ts';
import { packingTrade } from './packing/index.ts';
import { plungerTrade } from './plunger/index.ts';
import { regreasingTrade } from './regreasing/index.ts';
import { sealTrade } from './seal/index.ts';
import { sealWearTrade } from './seal-wear/index.ts';
import { sleeveBearingTrade } from './sleeve-bearing/index.ts';
import { splitBearingTrade } from './split-bearing/index.ts';
import { surveyTrade } from './survey/index.ts';
import { vanePumpTrade } from './vane-pump/index.ts';

/** Every trade there is, in the order they are offered: the only list of them. */
enrol([
  sleeveBearingTrade,
  splitBearingTrade,
  sealTrade,
  packingTrade,
  plungerTrade,
  gearPumpTrade,
  vanePumpTrade,
  sealWearTrade,
  dismountingTrade,
  regreasingTrade,
  surveyTrade,
]);
