/** Short words the dishes share: rules, heat, what bought wheat holds. */
export const taste = { rule: 'toTaste' } as const;
export const whole = { rule: 'whole' } as const;
export const perPot = { rule: 'fixed' } as const;
export const perPan = { rule: 'perVessel' } as const;
export const hob = [{ kind: 'hob' as const }];
export const oven = (tempC: number) => [{ kind: 'oven' as const, tempC }];
export const wheat = ['al_wheat', 'al_gluten'];
