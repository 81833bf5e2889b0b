package osmerin.formats.text;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.mozilla.universalchardet.UniversalDetector;
import osmerin.formats.text.UnreadableFileException.Fault;

/**
 * How a text file is encoded, and how it begins.
 *
 * @param charset the encoding it was read in
 * @param text its beginning, a million characters at most, without a byte order mark
 */
public record DecodedText(Charset charset, String text) {
  private static final int BEGINNING = 1_000_000;
  private static final int CHARACTERS_AT_A_TIME = 8_192;

  /** Encodings a person can choose from. */
  public static final List<Charset> CHOICES =
      List.of(
          StandardCharsets.UTF_8,
          StandardCharsets.UTF_16LE,
          StandardCharsets.UTF_16BE,
          Charset.forName("windows-1252"),
          Charset.forName("windows-1250"),
          Charset.forName("windows-1251"),
          StandardCharsets.ISO_8859_1);

  private static final Charset WINDOWS_1252 = Charset.forName("windows-1252");

  private static final Map<String, String> SIGNATURES =
      Map.of(
          "89504e47", "a PNG picture",
          "ffd8ff", "a JPEG picture",
          "47494638", "a GIF picture",
          "52494646", "a picture or sound",
          "25504446", "a PDF document",
          "504b0304", "a ZIP archive",
          "d0cf11e0", "an old spreadsheet (save it as XLSX or CSV first)",
          "1f8b", "a compressed file");

  /**
   * Guesses the encoding: a byte order mark, else UTF-16 by its zero bytes, else UTF-8 when every
   * byte fits, else what the letters look like, else Windows-1252.
   *
   * @throws UnreadableFileException when the file is empty or no text
   */
  public static DecodedText of(byte[] bytes) {
    return of(bytes, guess(bytes));
  }

  /** Reads in a given encoding; bytes that do not fit become the replacement character. */
  public static DecodedText of(byte[] bytes, Charset charset) {
    CharBuffer beginning = CharBuffer.allocate(Math.min(BEGINNING, bytes.length));
    try (Reader reader = reader(bytes, charset)) {
      int read = 0;
      while (read >= 0 && beginning.hasRemaining()) {
        read = reader.read(beginning);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    String text = beginning.flip().toString();
    if (text.isBlank()) {
      throw new UnreadableFileException(Fault.EMPTY, "The file is empty.");
    }
    return new DecodedText(charset, text);
  }

  /** Reads a file in a given encoding bit by bit, without its byte order mark. */
  public static Reader reader(byte[] bytes, Charset charset) {
    refuseWhatIsNoText(bytes);
    BufferedReader reader =
        new BufferedReader(new InputStreamReader(new ByteArrayInputStream(bytes), charset));
    try {
      reader.mark(1);
      if (reader.read() != '\uFEFF') {
        reader.reset();
      }
      return reader;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void refuseWhatIsNoText(byte[] bytes) {
    if (bytes.length == 0) {
      throw new UnreadableFileException(Fault.EMPTY, "The file is empty.");
    }
    StringBuilder start = new StringBuilder();
    for (int i = 0; i < Math.min(4, bytes.length); i++) {
      start.append(String.format(Locale.ROOT, "%02x", bytes[i] & 0xFF));
    }
    SIGNATURES.forEach(
        (signature, what) -> {
          if (start.toString().startsWith(signature)) {
            throw new UnreadableFileException(
                Fault.NOT_TEXT, "This is not a table: inside it is " + what + ".");
          }
        });
    if (zeroShare(bytes, 0) + zeroShare(bytes, 1) > 0 && utf16ByZeros(bytes).isEmpty()) {
      throw new UnreadableFileException(
          Fault.NOT_TEXT, "This is not a text file: it contains zero bytes between the others.");
    }
  }

  private static Charset guess(byte[] bytes) {
    refuseWhatIsNoText(bytes);
    return byMark(bytes)
        .or(() -> utf16ByZeros(bytes))
        .or(() -> fits(bytes, StandardCharsets.UTF_8))
        .or(() -> byLetters(bytes))
        .orElse(WINDOWS_1252);
  }

  private static Optional<Charset> byMark(byte[] bytes) {
    if (startsWith(bytes, 0xEF, 0xBB, 0xBF)) {
      return Optional.of(StandardCharsets.UTF_8);
    }
    if (startsWith(bytes, 0xFF, 0xFE)) {
      return Optional.of(StandardCharsets.UTF_16LE);
    }
    return startsWith(bytes, 0xFE, 0xFF)
        ? Optional.of(StandardCharsets.UTF_16BE)
        : Optional.empty();
  }

  private static boolean startsWith(byte[] bytes, int... mark) {
    for (int i = 0; i < mark.length; i++) {
      if (bytes.length <= i || (bytes[i] & 0xFF) != mark[i]) {
        return false;
      }
    }
    return true;
  }

  /** In Latin text of UTF-16 nearly every second byte is zero. */
  private static Optional<Charset> utf16ByZeros(byte[] bytes) {
    if (byMark(bytes).filter(c -> c != StandardCharsets.UTF_8).isPresent()) {
      return byMark(bytes);
    }
    double even = zeroShare(bytes, 0);
    double odd = zeroShare(bytes, 1);
    if (odd > 0.5 && even < 0.05) {
      return Optional.of(StandardCharsets.UTF_16LE);
    }
    return even > 0.5 && odd < 0.05 ? Optional.of(StandardCharsets.UTF_16BE) : Optional.empty();
  }

  private static double zeroShare(byte[] bytes, int from) {
    int zeros = 0;
    int looked = 0;
    for (int i = from; i < Math.min(bytes.length, 4_000); i += 2) {
      zeros += bytes[i] == 0 ? 1 : 0;
      looked++;
    }
    return looked == 0 ? 0 : (double) zeros / looked;
  }

  /** How many bytes there are before the first that is not ASCII. */
  private static int plain(byte[] bytes) {
    int plain = 0;
    while (plain < bytes.length && bytes[plain] >= 0) {
      plain++;
    }
    return plain;
  }

  private static Optional<Charset> fits(byte[] bytes, Charset charset) {
    CharsetDecoder decoder = charset.newDecoder();
    int plain = plain(bytes);
    ByteBuffer in = ByteBuffer.wrap(bytes, plain, bytes.length - plain);
    CharBuffer out = CharBuffer.allocate(CHARACTERS_AT_A_TIME);
    CoderResult result = CoderResult.OVERFLOW;
    while (result.isOverflow()) {
      result = decoder.decode(in, out.clear(), true);
    }
    return result.isError() ? Optional.empty() : Optional.of(charset);
  }

  private static Optional<Charset> byLetters(byte[] bytes) {
    UniversalDetector detector = new UniversalDetector();
    detector.handleData(bytes, 0, Math.min(bytes.length, 200_000));
    detector.dataEnd();
    return Optional.ofNullable(detector.getDetectedCharset())
        .filter(Charset::isSupported)
        .map(Charset::forName)
        .filter(CHOICES::contains);
  }
}
