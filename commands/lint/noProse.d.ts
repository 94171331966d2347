import type { Rule } from 'eslint';

export declare const noProse: Rule.RuleModule;
