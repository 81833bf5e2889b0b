package osmerin.meaning;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import opennlp.tools.tokenize.WordpieceTokenizer;

/**
 * Cuts a text into the numbered word pieces that the model was trained on (J. Devlin and others,
 * "BERT: Pre-training of Deep Bidirectional Transformers", NAACL 2019; uncased).
 */
final class WordPieces {
  /** The model was trained on no more pieces than these. */
  private static final int MOST = 128;

  private static final Pattern ACCENTS = Pattern.compile("\\p{Mn}+");
  private static final Pattern SIGNS = Pattern.compile("[\\p{P}\\p{S}\\p{IsHan}]");

  private final Map<String, Long> numbers = new HashMap<>();
  private final WordpieceTokenizer tokenizer;

  /**
   * @param file the description of the tokenizer, as JSON
   */
  WordPieces(Reader file) {
    JsonObject vocabulary =
        JsonParser.parseReader(file)
            .getAsJsonObject()
            .getAsJsonObject("model")
            .getAsJsonObject("vocab");
    vocabulary.entrySet().forEach(e -> numbers.put(e.getKey(), e.getValue().getAsLong()));
    tokenizer = new WordpieceTokenizer(numbers.keySet());
  }

  static WordPieces shipped(String resource) throws IOException {
    try (Reader file =
        new InputStreamReader(SentenceModel.resource(resource), StandardCharsets.UTF_8)) {
      return new WordPieces(file);
    }
  }

  /** The numbers of a text's pieces, those that mark its beginning and end among them. */
  long[] of(String text) {
    String plain =
        ACCENTS
            .matcher(Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD))
            .replaceAll("");
    String[] pieces = tokenizer.tokenize(SIGNS.matcher(plain).replaceAll(" $0 "));
    long[] result = new long[Math.min(MOST, pieces.length)];
    for (int i = 0; i < result.length; i++) {
      result[i] = numbers.get(i == MOST - 1 ? pieces[pieces.length - 1] : pieces[i]);
    }
    return result;
  }
}
