/** Parts of a recipe that pages set in capitals and without a colon. */
const sections =
  /^(?:the\s+)?(?:dressing|sauce|filling|topping|dough|pastry|marinade|base|garnish|icing|frosting|glaze|crust|stuffing|salad|soup|crumble|batter|syrup|gravy|broth|paste|rub|dip|dumplings?|meatballs?|to serve|to finish|to garnish|ingredients|zutaten|ingr[ée]dients|ingredienti|ingredientes)$/iu;

/**
 * The heading a line is, without its marks: `For the sauce:`, `### Filling`, `**For the dough**`, `DRESSING`.
 * @param written as it stands on the page; @param text the same without bullets
 * @returns undefined for a line that names a food
 */
export function headingOf(written: string, text: string): string | undefined {
  const marked = /^\s*(?:#{1,6}\s*(.+?)\s*#*|(?:\*\*|__)\s*([^*_]+?)\s*(?:\*\*|__)\s*:?)\s*$/u.exec(written);
  const inner = marked?.[1] ?? marked?.[2];
  const bare = (inner ?? text).replace(/[:：]\s*$/u, '').trim();
  // a rule or a lone mark ends the part before
  if (/^\s*(?:#{1,6}|-{3,}|={3,}|\*{3,})\s*$/u.test(written)) return '';
  if (!bare) return undefined;
  if (inner !== undefined && !/^[\d¼-¾⅐-⅞]/u.test(bare)) return bare;
  if (/[:：]$/u.test(text) && (!/\d/.test(text) || /^for\b/i.test(text))) return bare;
  if (/^(?:for|für|pour|per|para)\s+(?:the|den|die|das|la|le|les|il|los|las|el)\s+[\p{L}\s-]+$/iu.test(bare)) return bare;
  return /^\p{Lu}/u.test(bare) && sections.test(bare) ? bare : undefined;
}
