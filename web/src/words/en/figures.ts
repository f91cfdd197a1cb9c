/** What the pages of figures say, in ICU MessageFormat. */
export const en = {
  afterMinutesCaution: '{temperatureC} after {minutes} minutes; caution at {cautionC}',
  between: 'between {lower} and {upper}',
  dottedCautionDashed: '{baseName}{baseC}, dotted · caution {cautionC}, dashed',
  dropsMinute: '{value} drops a minute',
  least: 'at least {lower}',
  limitAbout: 'Reaches its limit about {on}',
  mend: '{shown}: correct',
  mend2: 'Correct',
  most: 'at most {upper}',
  n95100: ', {on} to {to} in 95 of 100',
  noTemperatureReadYet: 'No temperature is read yet',
  on: '{value}{found, select, asFound { as found} none {} other {}} on {at}',
  turn: 'Turn {name}',
  minutes: 'minutes',
} as const;
