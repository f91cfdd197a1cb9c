/** What the pages of data say, in ICU MessageFormat. */
export const en = {
  deviceCouldNotKeepStorage:
    'This device could not save it: its storage is full or switched off. Nothing was stored.',
  feedStoppedNoValueTaken: 'The signal stopped. Type the reading, or wait until the signal is back.',
  gaugeHasSentNoValue: 'The gauge sends no value now. Nothing is taken.',
  gaugeSendsNoNothingTaken: 'The gauge sends {raw}: not a {name}. Nothing is taken.',
  gaugeUnpluggedPortEnded: 'The gauge was unplugged, or its port closed.',
  jobNeverOpenedDeviceSo: '{message} This job was never opened on this device, so it has no copy.',
  noConnectionServerNothingChanged: 'No connection to the server: nothing was changed.',
  confirmFirst: 'You are not confirmed. Enter your PIN first; nothing was changed.',
  notConfirmedSigns:
    '{name} is not confirmed: the server has not checked the PIN. Sign in as {name} before you sign or release anything.',
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
