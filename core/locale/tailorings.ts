/**
 * How languages sort otherwise than the root (CLDR, common/collation, standard type), in the rules of UTS 35, part 5, as far as
 * they are read here: `&` says after what, or `&[before 1]` in front of what; `<` another letter, `<<` the same with another
 * mark, `<<<` the same in another case or form, `=` the very same.
 */
export const TAILORINGS: Readonly<Record<string, string>> = {
  be: '&Е<ё<<<Ё &у<ў<<<Ў',
  bs: '&C<č<<<Č<ć<<<Ć &D<dž<<<Dž<<<DŽ<đ<<<Đ &L<lj<<<Lj<<<LJ &N<nj<<<Nj<<<NJ &S<š<<<Š &Z<ž<<<Ž',
  cs: '&C<č<<<Č &H<ch<<<cH<<<Ch<<<CH &R<ř<<<Ř &S<š<<<Š &Z<ž<<<Ž',
  cy: '&C<ch<<<Ch<<<CH &D<dd<<<Dd<<<DD &F<ff<<<Ff<<<FF &G<ng<<<Ng<<<NG &L<ll<<<Ll<<<LL &P<ph<<<Ph<<<PH &R<rh<<<Rh<<<RH &T<th<<<Th<<<TH',
  da: '&D<<đ<<<Đ<<ð<<<Ð &t<<<þ/h &T<<<Þ/h &y<<ü<<<Ü<<ű<<<Ű &[before 1]ǀ<æ<<<Æ<<ä<<<Ä<ø<<<Ø<<ö<<<Ö<<ő<<<Ő<å<<<Å<<<aa<<<Aa<<<AA',
  es: '&N<ñ<<<Ñ',
  et: '&[before 1]T<š<<<Š<z<<<Z<ž<<<Ž &[before 1]X<õ<<<Õ<ä<<<Ä<ö<<<Ö<ü<<<Ü',
  fi: '&D<<đ<<<Đ &N<<ŋ<<<Ŋ &T<<ŧ<<<Ŧ &Y<<ü<<<Ü &Z<<ʒ<<<Ʒ &[before 1]ǀ<å<<<Å<ä<<<Ä<<æ<<<Æ<ö<<<Ö<<ø<<<Ø',
  gl: '&N<ñ<<<Ñ',
  hr: '&C<č<<<Č<ć<<<Ć &D<dž<<<Dž<<<DŽ<đ<<<Đ &L<lj<<<Lj<<<LJ &N<nj<<<Nj<<<NJ &S<š<<<Š &Z<ž<<<Ž',
  hu: '&C<cs<<<Cs<<<CS &D<dz<<<Dz<<<DZ<dzs<<<Dzs<<<DZS &G<gy<<<Gy<<<GY &L<ly<<<Ly<<<LY &N<ny<<<Ny<<<NY &O<ö<<<Ö<<ő<<<Ő &S<sz<<<Sz<<<SZ &T<ty<<<Ty<<<TY &U<ü<<<Ü<<ű<<<Ű &Z<zs<<<Zs<<<ZS',
  is: '&[before 1]b<á<<<Á &D<<đ<<<Đ<ð<<<Ð &[before 1]f<é<<<É &[before 1]j<í<<<Í &[before 1]p<ó<<<Ó &[before 1]v<ú<<<Ú &[before 1]z<ý<<<Ý &[before 1]ǀ<æ<<<Æ<<ä<<<Ä<ö<<<Ö<<ø<<<Ø<å<<<Å',
  lt: '&A<<ą<<<Ą &C<č<<<Č &E<<ę<<<Ę<<ė<<<Ė &I<<į<<<Į<<y<<<Y &S<š<<<Š &U<<ų<<<Ų<<ū<<<Ū &Z<ž<<<Ž',
  lv: '&A<ā<<<Ā &[before 1]D<č<<<Č &E<ē<<<Ē &[before 1]H<ģ<<<Ģ &I<y<<<Y<ī<<<Ī &[before 1]L<ķ<<<Ķ &[before 1]M<ļ<<<Ļ &[before 1]O<ņ<<<Ņ &O<ō<<<Ō &[before 1]S<ŗ<<<Ŗ &[before 1]T<š<<<Š &U<ū<<<Ū &[before 1]ʒ<ž<<<Ž',
  mk: '&ћ<ќ<<<Ќ &ђ<ѓ<<<Ѓ',
  nb: '&D<<đ<<<Đ<<ð<<<Ð &t<<<þ/h &T<<<Þ/h &y<<ü<<<Ü<<ű<<<Ű &[before 1]ǀ<æ<<<Æ<<ä<<<Ä<ø<<<Ø<<ö<<<Ö<<ő<<<Ő<<œ<<<Œ<å<<<Å<<<aa<<<Aa<<<AA',
  nn: '&D<<đ<<<Đ<<ð<<<Ð &t<<<þ/h &T<<<Þ/h &y<<ü<<<Ü<<ű<<<Ű &[before 1]ǀ<æ<<<Æ<<ä<<<Ä<ø<<<Ø<<ö<<<Ö<<ő<<<Ő<<œ<<<Œ<å<<<Å<<<aa<<<Aa<<<AA',
  pl: '&A<ą<<<Ą &C<ć<<<Ć &E<ę<<<Ę &L<ł<<<Ł &N<ń<<<Ń &O<ó<<<Ó &S<ś<<<Ś &Z<ź<<<Ź<ż<<<Ż',
  ro: '&A<ă<<<Ă<â<<<Â &I<î<<<Î &S<ş=ș<<<Ş=Ș &T<ţ=ț<<<Ţ=Ț',
  sk: '&A<ä<<<Ä &C<č<<<Č &H<ch<<<cH<<<Ch<<<CH &O<ô<<<Ô &R<ř<<<Ř &S<š<<<Š &Z<ž<<<Ž',
  sl: '&C<č<<<Č<ć<<<Ć &D<đ<<<Đ &S<š<<<Š &Z<ž<<<Ž',
  sq: '&C<ç<<<Ç &D<dh<<<Dh<<<DH &E<ë<<<Ë &G<gj<<<Gj<<<GJ &L<ll<<<Ll<<<LL &N<nj<<<Nj<<<NJ &R<rr<<<Rr<<<RR &S<sh<<<Sh<<<SH &T<th<<<Th<<<TH &X<xh<<<Xh<<<XH &Z<zh<<<Zh<<<ZH',
  'sr-Latn':
    '&C<č<<<Č<ć<<<Ć &D<dž<<<Dž<<<DŽ<đ<<<Đ &L<lj<<<Lj<<<LJ &N<nj<<<Nj<<<NJ &S<š<<<Š &Z<ž<<<Ž',
  sv: '&D<<đ<<<Đ<<ð<<<Ð &t<<<þ/h &T<<<Þ/h &y<<ü<<<Ü<<ű<<<Ű &[before 1]ǀ<å<<<Å<ä<<<Ä<<æ<<<Æ<<ę<<<Ę<ö<<<Ö<<ø<<<Ø<<ő<<<Ő<<œ<<<Œ<<ô<<<Ô',
  tr: '&C<ç<<<Ç &G<ğ<<<Ğ &[before 1]i<ı<<<I &i<<<İ &O<ö<<<Ö &S<ş<<<Ş &U<ü<<<Ü',
  uk: '&Г<ґ<<<Ґ &і<ї<<<Ї',
  vi: '&◌̀<<◌̉<<◌̃<<◌́<<◌̣ &a<ă<<<Ă<â<<<Â &d<đ<<<Đ &e<ê<<<Ê &o<ô<<<Ô<ơ<<<Ơ &u<ư<<<Ư',
};

/** Languages whose own script comes first, by a letter of it. */
export const SCRIPT_FIRST: Readonly<Record<string, readonly [first: string, last: string]>> = {
  be: ['а', 'ӏ'],
  bg: ['а', 'ӏ'],
  mk: ['а', 'ӏ'],
  ru: ['а', 'ӏ'],
  sr: ['а', 'ӏ'],
  uk: ['а', 'ӏ'],
  el: ['α', 'ϸ'],
};

/** Languages whose letters are not listed here, and come before the Latin ones: by their numbers, as Unicode has them. */
export const OTHERS_FIRST: ReadonlySet<string> = new Set(['ko', 'zh']);

/** Languages in which marks are compared from the end of a text (UTS 10, 2.2: backward accents). */
export const MARKS_FROM_THE_END: ReadonlySet<string> = new Set(['fr-CA']);

/** Languages in which, of two words that differ by case alone, the one with capitals comes first. */
export const CAPITALS_FIRST: ReadonlySet<string> = new Set(['da']);
