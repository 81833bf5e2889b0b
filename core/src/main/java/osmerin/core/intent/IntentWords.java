package osmerin.core.intent;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import osmerin.core.text.Language;

/**
 * The words of a language that tell why somebody searches.
 *
 * @param how words that ask for the way to do something
 * @param opening words that make a question when they open the phrase
 */
record IntentWords(
    Set<String> buying,
    Set<String> comparing,
    Set<String> asking,
    Set<String> how,
    Set<String> opening) {
  private static final Map<Language, IntentWords> OF = new EnumMap<>(Language.class);

  static {
    OF.put(
        Language.ENGLISH,
        new IntentWords(
            words(
                "buy order price prices pricing cheap sale coupon discount deal deals shop"
                    + " purchase shipping rent hire subscription quote booking book"),
            words(
                "best top vs versus review reviews compare compared comparison alternative"
                    + " alternatives rated recommended worth brands models"),
            words(
                "how what why when where who which can does is are should guide tutorial ideas tips"
                    + " examples meaning definition explained steps diy learn fix causes types"
                    + " beginners beginner"),
            words("how"),
            words("how what why when where should")));
    OF.put(
        Language.GERMAN,
        new IntentWords(
            words("kaufen preis preise preiswert günstig billig bestellen angebot angebote mieten"),
            words(
                "beste bester bestes besten test testsieger vergleich erfahrungen erfahrung"
                    + " bewertung bewertungen empfehlung alternative vs oder"),
            words(
                "wie was warum wann wo wer welche welcher welches kann anleitung selber ideen tipps"
                    + " rezept bedeutung ursachen anfänger lernen"),
            words("wie anleitung"),
            words("wie was warum wann wo wer welche welcher welches")));
    OF.put(
        Language.FRENCH,
        new IntentWords(
            words("acheter achat prix cher promo commander vendre vente soldes louer"),
            words("meilleur meilleure meilleurs meilleures comparatif avis test alternative vs"),
            words(
                "comment pourquoi quand que quoi quel quelle quels quelles où guide tuto recette"
                    + " idées conseils définition débutant débutants apprendre"),
            words("comment tuto"),
            words("comment pourquoi quand que quel quelle où")));
    OF.put(
        Language.SPANISH,
        new IntentWords(
            words("comprar precio precios barato baratos oferta ofertas venta alquilar pedir"),
            words("mejor mejores comparativa opiniones reseña reseñas alternativa vs"),
            words(
                "cómo como qué que cuándo cuando dónde donde quién cuál guía tutorial receta ideas"
                    + " consejos significado principiantes aprender"),
            words("cómo como"),
            words("cómo como qué que cuándo cuando dónde donde")));
    OF.put(
        Language.ITALIAN,
        new IntentWords(
            words("comprare acquistare prezzo prezzi economico offerta offerte vendita noleggio"),
            words("migliore migliori confronto recensioni recensione opinioni alternativa vs"),
            words(
                "come cosa perché quando dove quale quali guida tutorial ricetta idee consigli"
                    + " significato principianti imparare"),
            words("come"),
            words("come cosa perché quando dove quale quali")));
    OF.put(
        Language.PORTUGUESE,
        new IntentWords(
            words("comprar preço preços barato oferta venda alugar encomendar"),
            words("melhor melhores comparação avaliação avaliações opiniões alternativa vs"),
            words(
                "como que quando onde quem qual quais porque guia tutorial receita ideias dicas"
                    + " significado iniciantes aprender"),
            words("como"),
            words("como que quando onde qual quais")));
    OF.put(
        Language.DUTCH,
        new IntentWords(
            words("kopen koop prijs prijzen goedkoop goedkope bestellen aanbieding huren"),
            words("beste test vergelijken vergelijking ervaringen ervaring alternatief vs"),
            words(
                "hoe wat waarom wanneer waar wie welke welk zelf handleiding ideeën tips recept"
                    + " betekenis oorzaken beginners leren"),
            words("hoe handleiding"),
            words("hoe wat waarom wanneer waar wie welke welk")));
  }

  private static Set<String> words(String list) {
    return Set.of(list.split(" "));
  }

  static IntentWords of(Language language) {
    return OF.get(language);
  }
}
