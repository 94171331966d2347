import type { Answers, MethodFigure, Question, Spray } from '$core/supplies/methods/method.ts';

interface QuestionWords<Q extends Question> {
  ask: string;
  /** Each answer, with what it costs and gains in one line. */
  answers: Record<Answers[Q], { text: string; turns: string }>;
}

/** The questions growers disagree on, in words. No answer is wrong. */
export const QUESTION_WORDS: { [Q in Question]: QuestionWords<Q> } = {
  germinationWater: {
    ask: 'Water while it germinates',
    answers: {
      shut: { text: 'Once, then shut', turns: 'Fewer openings let in less mould; a mat may run dry.' },
      daily: { text: 'Misted once a day', turns: 'Saves gel seed and mats; each opening lets something in.' },
      twice: {
        text: 'Misted morning and evening',
        turns: 'Kindest to coriander and thin mats; the most work and damp.'
      }
    }
  },
  firstWater: {
    ask: 'The medium is watered',
    answers: {
      'before-seed': {
        text: 'Before the seed',
        turns: 'Seed sticks where it falls: good for shakers, bad for hands.'
      },
      'after-seed': {
        text: 'After the seed',
        turns: 'Seed can still be spread by hand; a hard jet washes it together.'
      },
      'from-below': {
        text: 'From below, before the seed',
        turns: 'Evenly damp and a dry top to spread on; takes a while.'
      }
    }
  },
  seedCover: {
    ask: 'The seed is',
    answers: {
      bare: { text: 'Left bare and pressed', turns: 'The cleanest cut; dries sooner.' },
      medium: {
        text: 'Covered thinly with medium',
        turns: 'Holds damp and pulls hulls off; makes a dirtier cut.'
      },
      vermiculite: {
        text: 'Covered with vermiculite',
        turns: 'As medium, lighter and cleaner; its dust wants damping first.'
      }
    }
  },
  pressing: {
    ask: 'On the seed lies',
    answers: {
      weight: {
        text: 'A weight by the crop',
        turns: 'Roots go down and hulls come off; too much crushes fine seed.'
      },
      stacked: {
        text: 'A stacked tray',
        turns:
          'Trays press each other and save room; the top one still needs a weight, and few crops bear more than one tray.'
      },
      late: {
        text: 'A lid, then a weight',
        turns: 'Sprouts in the dark, then pressed a day or two: nothing soft is crushed, one more step.'
      },
      none: { text: 'Nothing but a lid', turns: 'Nothing is crushed; roots may lift the seed.' }
    }
  },
  darkness: {
    ask: 'Once it has rooted',
    answers: {
      dome: {
        text: 'A dark dome, then light',
        turns: 'Longer, more even stems, against one more damp, closed stage.'
      },
      straight: { text: 'Straight to light', turns: 'Shorter, stronger stems; less mould.' },
      none: {
        text: 'No darkness at all',
        turns: 'Least handling; seed that wants the dark keeps its lid until it roots.'
      },
      days: {
        text: 'A set number of days in the dark',
        turns: 'Counted from sowing, for grasses too. Easy to plan, but it does not wait for slow seed.'
      }
    }
  },
  dome: {
    ask: 'The dome comes off',
    answers: {
      even: { text: 'When the stems are even', turns: 'Follows the crop, so it needs a look each day.' },
      days: { text: 'After a set number of days', turns: 'Easy to plan; a cool week leaves stems short.' },
      rim: {
        text: 'When the stems stand over the rim',
        turns:
          'Tall stems that are easy to cut. With no darkness, a clear dome keeps the air warm and humid for slow crops such as basil, which also suits mould: lift it once a day.'
      }
    }
  },
  sillLight: {
    ask: 'On a windowsill',
    answers: {
      'at-once': {
        text: 'Full sun from the start',
        turns: 'Fastest; strong sun can wilt pale stems on the first day.'
      },
      shaded: {
        text: 'Shade first, then sun',
        turns: 'Paper or a thin cloth keeps the sun off until the day you set. Gentler, and a little slower.'
      }
    }
  },
  lightWater: {
    ask: 'Water in the light',
    answers: {
      below: { text: 'From below', turns: 'Leaves stay dry, and so cleaner.' },
      'first-above': {
        text: 'First from above, then below',
        turns: 'Washes hulls off once; leaves are wet once.'
      },
      mist: { text: 'Always a fine mist', turns: 'What small cells and mats need; wet leaves mould.' }
    }
  },
  matWater: {
    ask: 'Mats and paper are watered',
    answers: {
      'as-dry': { text: 'As they dry', turns: 'Least work; the tray below holds a little water.' },
      'poured-once': {
        text: 'Poured through once a day',
        turns:
          'Lift it, pour through, let it drain. Fresh water and air at the roots; dry by morning in a warm room.'
      },
      'poured-twice': {
        text: 'Poured through twice a day',
        turns: 'The same, morning and evening: safest on thin mats, and the most work.'
      }
    }
  },
  mediumDepth: {
    ask: 'Depth of loose medium',
    answers: {
      usual: { text: 'Usual, about 25 mm', turns: 'Room for roots, and water for a day or more.' },
      thin: { text: 'Thin, 6 to 12 mm', turns: 'Cheap and light; dries fast, so check it twice a day.' },
      deep: { text: 'Deep, 50 mm', turns: 'Holds water for days and feeds long crops; heavier and dearer.' }
    }
  },
  feed: {
    ask: 'Feed',
    answers: {
      none: { text: 'None', turns: 'Short crops live from the seed; nothing to mix.' },
      half: {
        text: 'Half strength from first light',
        turns: 'Long crops and poor media gain; short ones hardly.'
      },
      reservoir: {
        text: 'Full strength in a reservoir',
        turns: 'What mesh lives from, from the first fill on. Change it before it smells.'
      },
      'reservoir-half': {
        text: 'Half strength in a reservoir',
        turns: 'From the first fill on; slower, and kinder to roots and to tap water that is hard.'
      }
    }
  },
  peroxide: {
    ask: 'Peroxide in the water',
    answers: {
      none: { text: 'None', turns: 'Plain water; nothing to handle.' },
      weak: { text: 'Weak, in all water', turns: 'Disputed: some see less mould, some no difference.' },
      'at-sowing': { text: 'At sowing only', turns: 'Disputed as well; one careful mixing instead of many.' }
    }
  },
  disinfect: {
    ask: 'The seed is disinfected',
    answers: {
      none: { text: 'Not at all', turns: 'Nothing strong to handle; rough seed keeps what it carries.' },
      hypochlorite: {
        text: 'With hypochlorite',
        turns: 'Lowers what rough seed carries; gloves, air and a long rinse.'
      },
      peroxide: { text: 'With peroxide', turns: 'Leaves only water behind; strong stock burns.' }
    }
  },
  leafStage: {
    ask: 'Cut at',
    answers: {
      usual: { text: 'The crop’s usual stage', turns: 'As its page says.' },
      'seed-leaves': { text: 'Seed leaves', turns: 'Soonest and mildest; the smallest harvest.' },
      'true-leaf': {
        text: 'First true leaf',
        turns:
          'About half as long again; more flavour and a third more weight. Sunflower and some others turn bitter.'
      },
      'third-leaf': {
        text: 'Third true leaf',
        turns: 'About twice as long; strong flavour, most weight. Sow sparsely, and feed it or go deep.'
      }
    }
  },
  cutting: {
    ask: 'Cut with',
    answers: {
      scissors: { text: 'Scissors', turns: 'Safer, and quicker for pots; bruises a little.' },
      knife: { text: 'A sharp knife', turns: 'A clean cut keeps longer; mind your fingers.' }
    }
  },
  washing: {
    ask: 'After the cut',
    answers: {
      unwashed: { text: 'Kept dry, unwashed', turns: 'Keeps days longer; wash it before eating.' },
      washed: { text: 'Washed and spun', turns: 'Ready to eat; costs two or three days of keeping.' }
    }
  },
  taking: {
    ask: 'It is taken',
    answers: {
      whole: { text: 'The whole tray at once', turns: 'The tray is free again; the greens go to the cold.' },
      strip: { text: 'A strip a day', turns: 'Always fresh; the last strip is past its best.' }
    }
  }
};

/** Questions that are thought about together, in the order of the work. */
export const QUESTION_GROUPS: readonly { title: string; questions: readonly Question[] }[] = [
  { title: 'Sowing', questions: ['firstWater', 'seedCover', 'pressing', 'mediumDepth', 'disinfect'] },
  { title: 'Dark and light', questions: ['darkness', 'dome', 'sillLight'] },
  {
    title: 'Water and feed',
    questions: ['germinationWater', 'lightWater', 'matWater', 'feed', 'peroxide']
  },
  { title: 'Cut', questions: ['leafStage', 'cutting', 'washing', 'taking'] }
];

/** What a figure of a method is called, by the answer that asks for it. */
export const FIGURE_WORDS: Record<MethodFigure, string> = {
  domeDays: 'Days under the dome',
  domeCm: 'Height over the rim',
  darkDays: 'Days in the dark, from sowing',
  shadeDays: 'Days of shade, from sowing'
};

/** One answer in words. */
export const answerWords = <Q extends Question>(
  question: Q,
  answer: Answers[Q]
): { text: string; turns: string } => (QUESTION_WORDS[question] as QuestionWords<Q>).answers[answer];

/** What a method sprays, in one line. */
export const spraysWords = (sprays: readonly Spray[]): string =>
  sprays.length === 0
    ? 'None'
    : sprays
        .map(({ name, timesADay }) => `${name}, ${timesADay === 1 ? 'once a day' : 'morning and evening'}`)
        .join('; ');
