package osmerin.formats.keywords;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How headers name columns, in English, German, French, Spanish, Italian, Portuguese and Dutch; the
 * first that fits in this order. Units, signs, accents and what stands in brackets do not matter.
 */
enum HeaderWords {
  /** Columns about something else, though their names hold words of ours. */
  SOMETHING_ELSE(
      Column.OTHER,
      "features? funktionen fonctionnalites caracteristicas funzionalita recursos functies snippets?"
          + " trends? trending tendance tendencia tendenza trendlinie traffic trafic trafico traffico"
          + " trafego clicks clics klicks cliques ctr impressions? impressionen impresiones"
          + " impressioni impressoes vertoningen date datum data fecha updated parent clusters? gruppe"
          + " groups? groupe grupo gruppo groep topics? thema themen sujet tema temi labels? tags?"
          + " language sprache langue idioma lingua taal country land pays pais paese titles? titel"
          + " titre titulo titolo words? count anzahl"
          + " backlinks domains? domain change previous"),
  COST_PER_CLICK(
      Column.COST_PER_CLICK,
      "cpc ppc bid klickpreis klikprijs gebot bod enchere puja lance cost_per_click"
          + " price_per_click kosten_pro_klick preis_pro_klick cout_par_clic prix_par_clic"
          + " coste_por_clic costo_por_clic costo_per_clic custo_por_clique kosten_per_klik"),
  DIFFICULTY(
      Column.DIFFICULTY,
      "kd kd% difficulty schwierigkeit schwierigkeitsgrad difficulte dificultad difficolta"
          + " dificuldade moeilijkheid moeilijkheidsgraad how_hard"),
  INTENT(
      Column.INTENT,
      "intents? intention intentions suchintention suchabsicht absicht intencion intento intenzione"
          + " intencao intentie zoekintentie"),
  VOLUME(
      Column.VOLUME,
      "volumes? vol sv searches suchvolumen suchvol volumen volumina nachfrage recherches"
          + " busquedas ricerche pesquisas buscas zoekvolume demand demande demanda domanda"
          + " monthly_search suchanfragen_pro_monat suchanfragen_monat suchen_pro_monat"
          + " zoekopdrachten_per_maand maandelijkse_zoekopdrachten"),
  OWN_POSITION(
      Column.OWN_POSITION,
      "own_position own_rank our_position our_rank my_position current_position current_rank"
          + " your_position average_position avg_position eigene_position aktuelle_position"
          + " unsere_position position_actuelle notre_position posicion_actual posizione_attuale"
          + " posicao_atual huidige_positie eigen_positie"),
  OWN_PAGE(
      Column.OWN_PAGE,
      "own_url own_page own_address our_url our_page my_url my_page current_url current_page"
          + " your_url eigene_url eigene_seite eigene_adresse unsere_url aktuelle_url notre_url"
          + " notre_page url_actuelle url_actual url_propia pagina_propia url_attuale propria_pagina"
          + " url_atual nossa_url huidige_url eigen_url eigen_pagina onze_url"),
  RANKING_PAGES(
      Column.RANKING_PAGES,
      "urls? pages? links? address addresses serps? results? competitors? landingpage adressen?"
          + " webadressen? seiten? zielseiten? ergebnisse? suchergebnisse? treffer resultats? liens?"
          + " direccion direcciones paginas? resultados? enlaces? indirizzo indirizzi pagine"
          + " risultato risultati enderecos? adres pagina's resultaat resultaten"),
  POSITION(
      Column.POSITION,
      "pos positions? ranks? rankings? place platz platzierung rang classement posicion puesto"
          + " posizione posicao colocacao positie plaats"),
  KEYWORD(
      Column.KEYWORD,
      "keywords? keyphrases? key_phrases? phrases? quer(?:y|ies) terms? suchbegriffe? begriffe?"
          + " suchwort suchworter schlusselwort schlusselworter schlagwort schlagworter stichwort"
          + " suchanfragen? suchphrasen? suchterm suchterme mots?_cles? requetes? expressions? termes?"
          + " palabras?_claves? consultas? terminos? frases? parole?_chiave termini termine"
          + " palavras?_chaves? termos? zoekwoord zoekwoorden zoektermen? trefwoord trefwoorden"
          + " sleutelwoord zoekopdracht zoekopdrachten zoekzin");

  /** "SERP 1", "Top 3", "#4", "7": a place among the ranking pages. */
  private static final Pattern NUMBERED =
      Pattern.compile(
          "(?:serp|top|url|result|position|pos|rank|ranking|page|place|link|competitor|seite|ergebnis"
              + "|treffer|platz|resultat|pagina|resultado|risultato|posicion|posizione|posicao"
              + "|resultaat|positie)? ?#? ?(?:1?\\d|20)(?: (?:url|page|seite|adresse))?"
              + "|top (?:10|20|ten|twenty)(?: .*)?");

  private static final Pattern ADDRESSES =
      Pattern.compile(
          "\\b(?:urls?|links?|address|addresses|adressen?|webadressen?|liens?|enlaces?)\\b");

  private static final Pattern ONE_PAGE =
      Pattern.compile(
          "\\b(?:url|page|link|address|adresse|webadresse|seite|zielseite|landingpage|lien|direccion"
              + "|pagina|enlace|indirizzo|endereco|adres)\\b");

  private static final Pattern BRACKETS = Pattern.compile("\\([^)]*\\)|\\[[^]]*]");
  private static final Pattern MARKS = Pattern.compile("\\p{M}+");
  private static final Pattern NO_WORD = Pattern.compile("[^\\p{L}\\p{N}#%']+");

  private final Column column;
  private final Pattern words;

  HeaderWords(Column column, String words) {
    this.column = column;
    String either = words.replace(' ', '|').replace('_', ' ');
    this.words = Pattern.compile("(?:^|.* )(?:" + either + ")(?: .*|$)");
  }

  /** What a header's field names; {@link Column#OTHER} when it names nothing we read. */
  static Column column(String field) {
    String name = name(BRACKETS.matcher(field).replaceAll(" "));
    Column column = named(name.isEmpty() ? name(field) : name);
    return column == Column.OTHER ? ofBrackets(field, name) : column;
  }

  /** "Suchbegriff (Keyword)": when the name itself says nothing, what is in brackets may. */
  private static Column ofBrackets(String field, String name) {
    boolean somethingElse = SOMETHING_ELSE.fits(name);
    return somethingElse || !BRACKETS.matcher(field).find() ? Column.OTHER : named(name(field));
  }

  private static Column named(String name) {
    if (NUMBERED.matcher(name).matches()) {
      return Column.RANKING_PAGES;
    }
    for (HeaderWords words : values()) {
      if (words.fits(name)) {
        return words.column;
      }
    }
    return Column.OTHER;
  }

  private boolean fits(String name) {
    return words.matcher(name).matches();
  }

  /** Whether the field says that its column is about something that we do not read. */
  static boolean namesSomethingElse(String field) {
    String name = name(field);
    return column(field) == Column.OTHER
        && (SOMETHING_ELSE.fits(name) || WEAK.contains(name) || ADVERTISING.matcher(name).find());
  }

  /** Names that are given to different things: the values have to bear them out. */
  private static final Set<String> WEAK =
      Arrays.stream(
              ("competition wettbewerb konkurrenz concurrence competencia concorrenza concorrencia"
                      + " concurrentie")
                  .split(" "))
          .collect(Collectors.toUnmodifiableSet());

  /** How many bid for an advert is nothing about how hard it is to rank. */
  private static final Pattern ADVERTISING =
      Pattern.compile(
          "\\b(?:competition|wettbewerb|konkurrenz|concurrence|competencia|concorrenza|concorrencia"
              + "|concurrentie)\\b.*\\b(?:index|indexed|indexiert|indexwert|value|wert|ads?|paid"
              + "|advertisers?|advertising|anzeigen|bids?)\\b");

  /** Whether a column of whole numbers up to 100 under this name is the difficulty. */
  static boolean mayBeDifficulty(String field) {
    String name = name(field);
    return Arrays.stream(name.split(" ")).anyMatch(WEAK::contains)
        && !ADVERTISING.matcher(name).find();
  }

  /** Whether the name says that addresses stand below it. */
  static boolean namesAddresses(String field) {
    return ADDRESSES.matcher(name(field)).find();
  }

  /** Whether the name is of one page, which may be the site's own, or says nothing. */
  static boolean mayBeOwn(String field) {
    String name = name(field);
    return name.isEmpty() || !NUMBERED.matcher(name).matches() && ONE_PAGE.matcher(name).find();
  }

  private static String name(String field) {
    String plain =
        MARKS
            .matcher(Normalizer.normalize(field, Normalizer.Form.NFKD))
            .replaceAll("")
            .toLowerCase(Locale.ROOT)
            .replace("ø", " ")
            .replace("ß", "ss")
            .replace('’', '\'');
    return NO_WORD.matcher(plain).replaceAll(" ").strip();
  }
}
