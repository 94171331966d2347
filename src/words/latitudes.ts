import { t } from '$messages/t.ts';
/** Somewhere near, for who does not know the latitude: how strong daylight is differs little within a few degrees. */
export const LATITUDES: readonly { name: string; deg: number }[] = [
  {
    get name() {
      return t('household.tromso');
    },
    deg: 70
  },
  {
    get name() {
      return t('household.reykjavik');
    },
    deg: 64
  },
  {
    get name() {
      return t('household.osloHelsinki');
    },
    deg: 60
  },
  {
    get name() {
      return t('household.edinburghCopenhagen');
    },
    deg: 56
  },
  {
    get name() {
      return t('household.londonBerlinWarsaw');
    },
    deg: 52
  },
  {
    get name() {
      return t('household.parisViennaVancouver');
    },
    deg: 49
  },
  {
    get name() {
      return t('household.milanBordeauxMontrAl');
    },
    deg: 45
  },
  {
    get name() {
      return t('household.romeBostonSapporo');
    },
    deg: 42
  },
  {
    get name() {
      return t('household.madridNewYorkBeijing');
    },
    deg: 40
  },
  {
    get name() {
      return t('household.athensSanFranciscoSeoul');
    },
    deg: 38
  },
  {
    get name() {
      return t('household.tokyoLosAngelesCasablanca');
    },
    deg: 35
  },
  {
    get name() {
      return t('household.cairoHoustonDelhi');
    },
    deg: 29
  },
  {
    get name() {
      return t('household.mexicoCityMumbai');
    },
    deg: 19
  },
  {
    get name() {
      return t('household.bogotSingaporeNairobi');
    },
    deg: 2
  },
  {
    get name() {
      return t('household.limaJakarta');
    },
    deg: -10
  },
  {
    get name() {
      return t('household.sOPauloBrisbane');
    },
    deg: -25
  },
  {
    get name() {
      return t('household.buenosAiresCapeTownSydney');
    },
    deg: -34
  },
  {
    get name() {
      return t('household.melbourneAuckland');
    },
    deg: -38
  },
  {
    get name() {
      return t('household.christchurchHobart');
    },
    deg: -43
  }
];
