/** How a button can look, by name. */
export const tones = ['plain', 'main', 'strong', 'sign', 'quiet', 'good', 'warn', 'stop'];
