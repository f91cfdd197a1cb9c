import { M as H } from '../../engine/headings/messages.ts';
import type { Procedure } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { asked, item } from '../../steps/questions.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { M } from './messages.ts';
import type { WearSetup } from './setup.ts';
import { wearWatch } from './wear-watch.ts';

/** The wear of a fitted seal watched until it is renewed. */
export function sealWearJob(setup: WearSetup): Procedure<WearSetup> {
  const pins = setup.gauge === 'pins';
  return {
    title: M.sealsWearWatched,
    steps: [
      safeStep(M.safeMeasure, [
        item(H.safe, 'stands', M.machineStandsIsolatedLockedTagged, {
          mayNote: COMMON.lockPermitNumber,
        }),
        item(H.safe, 'cool', M.sealCoolBoxWithoutPressure),
        item(H.safe, 'same', pins ? M.samePinsMeasuredAsFitting : M.sameSettingSpacerHand),
      ]),
      {
        id: 'wear',
        title: COMMON.wear,
        kind: wearWatch,
        dueWord: M.measureSealsWear,
        loop: true,
        guide: pins ? M.projectionLockingPinsDepthGauge : M.settingSpacerAgainstBackGland,
        caution: M.isolatedEachTimeNotOnly,
      },
      asked('renewed', COMMON.service, M.onlyWhenSealRenewedService, [
        item(COMMON.service, 'ordered', M.serviceOrderedSealRenewedWhich, { note: true }),
      ]),
      {
        id: 'sign',
        title: COMMON.signature,
        kind: signature,
        guide: COMMON.sheetStaysMachine,
      },
    ],
  };
}
