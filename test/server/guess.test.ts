import { expect } from 'chai';
import { guessOf, usZones } from '../../src/server/households/guess.ts';

describe('what a new household most likely measures and pays in', () => {
  it('goes by its time zone, whatever English its browser speaks', () => {
    expect(guessOf('Europe/Madrid', 'en-US')).to.deep.equal({ units: 'metric', currency: 'EUR' });
    expect(guessOf('America/New_York', 'en-GB')).to.deep.equal({ units: 'us', currency: 'USD' });
    expect(guessOf('Pacific/Honolulu', 'en')).to.deep.equal({ units: 'us', currency: 'USD' });
    expect(guessOf('America/Mexico_City', 'es')).to.deep.equal({ units: 'metric', currency: 'MXN' });
    expect(guessOf('Europe/London', 'en-GB')).to.deep.equal({ units: 'metric', currency: 'GBP' });
    // An old name of a zone.
    expect(guessOf('US/Eastern', 'en')).to.deep.equal({ units: 'us', currency: 'USD' });
  });

  it('goes by the language where the zone is nobody’s, and is metric and euros where neither says', () => {
    expect(guessOf('UTC', 'en-US')).to.deep.equal({ units: 'us', currency: 'USD' });
    expect(guessOf('UTC', 'en')).to.deep.equal({ units: 'metric', currency: 'EUR' });
  });

  it('names a currency that Brote can show for every zone there is', () => {
    const known = Intl.supportedValuesOf('currency');
    for (const zone of Intl.supportedValuesOf('timeZone'))
      expect(known, zone).to.include(guessOf(zone, 'en').currency);
    expect(usZones()).to.include.members(['America/Chicago', 'America/Puerto_Rico']);
    expect(usZones()).not.to.include('America/Toronto');
  });
});
