import { t } from '$messages/t.ts';
/** What a household has too many of, by table, and what to do about it. */
const OF: Readonly<Record<string, (most: number) => string>> = {
  places: (most) => t('errors.youAlreadyHaveMostPlaces', { most }),
  containers: (most) => t('errors.youAlreadyHaveMostContainers', { most }),
  own_crops: (most) => t('errors.youAlreadyHaveMostCrops', { most }),
  methods: (most) => t('errors.youAlreadyHaveMostMethods', { most }),
  media: (most) => t('errors.youAlreadyHaveMostMedia', { most }),
  products: (most) => t('errors.youAlreadyHaveMostDisinfectants', { most }),
  lots: (most) => t('errors.youAlreadyHaveMostLots', { most }),
  devices: (most) => t('errors.youAlreadyHaveMostSensors', { most }),
  standing_orders: (most) => t('errors.youAlreadyHaveMostStanding', { most }),
  sowings: (most) => t('errors.youAlreadyHaveMostSowings', { most }),
  members: (most) => t('errors.yourHouseholdAlreadyHasMost', { most }),
  invites: (most) => t('errors.mostInvitationsOpenAlreadyTake', { most }),
  sitters: (most) => t('errors.mostPeopleCanAlreadyLook', { most }),
  feeds: (most) => t('errors.youAlreadyHaveMostCalendar', { most }),
  channels: (most) => t('errors.youAlreadyHaveMostWays', { most })
};

/** That there is no room for another of something, and what to do about it. */
export const limitWords = (table: string, most: number): string =>
  OF[table]?.(most) ?? t('errors.youAlreadyHaveMostThese', { most });
