/** What the pages of data say, in ICU MessageFormat. */
export const en = {
  deviceCouldNotKeepStorage:
    'This device could not keep it: its storage is full or switched off. Nothing was stored.',
  feedStoppedNoValueTaken:
    'The feed stopped. No value is taken from it; type the reading, or wait until it is back.',
  gaugeHasSentNoValue: 'The gauge has sent no value just now. Nothing is taken.',
  gaugeSendsNoNothingTaken: 'The gauge sends {raw}: that is no {name}. Nothing is taken.',
  gaugeUnpluggedPortEnded: 'The gauge was unplugged or its port ended.',
  jobNeverOpenedDeviceSo: '{message} This job was never opened on this device, so no copy of it is here.',
  noConnectionServerNothingChanged: 'No connection to the server: nothing was changed.',
  noGaugePaired: 'No gauge is paired.',
  portCouldNotOpened: 'The port could not be opened.',
  refused: 'Refused.',
  shaftStillTurningTakeWhen: 'The shaft is still turning. Take it when it stands.',
  noPortChosen: 'No port was chosen.',
  portHeldByAnother: 'The port could not be opened: another program may hold it.',
  portGivesNothing: 'The port gives nothing to read.',
  noConnection: 'No connection to the server.',
  serverDoesNotAnswer: 'The server does not answer.',
} as const;
