package osmerin.meaning;

import ai.onnxruntime.OnnxTensor;
import ai.onnxruntime.OrtEnvironment;
import ai.onnxruntime.OrtException;
import ai.onnxruntime.OrtSession;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.LongBuffer;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Language;

/**
 * The sentence vectors of all-MiniLM-L6-v2 (N. Reimers and I. Gurevych, "Sentence-BERT", EMNLP
 * 2019), quantised to eight bits, run by ONNX Runtime: 384 dimensions, English. It is loaded when
 * it is first asked, which takes about a second. Texts are computed one by one, since quantisation
 * would make a vector depend on the texts beside it; the cores share them.
 */
public final class SentenceModel implements Meaning {
  private static final String MODEL = "all-minilm-l6-v2-q";

  /**
   * Threads that do nothing else: those that all of a program share may wait for a lock that
   * whoever asks for vectors holds, and would never come to compute them.
   */
  private static final ExecutorService THREADS =
      Executors.newFixedThreadPool(
          Runtime.getRuntime().availableProcessors(), SentenceModel::daemon);

  private @Nullable Loaded loaded;

  private record Loaded(OrtEnvironment environment, OrtSession session, WordPieces pieces) {}

  @Override
  public String model() {
    return MODEL;
  }

  @Override
  public boolean knows(Language language) {
    return language == Language.ENGLISH;
  }

  @Override
  public Map<String, float[]> vectors(Collection<String> texts) {
    Loaded model = loaded();
    Map<String, Future<float[]>> asked = new LinkedHashMap<>();
    for (String text : texts) {
      asked.put(text, THREADS.submit(() -> vector(model, text)));
    }
    Map<String, float[]> vectors = new HashMap<>();
    asked.forEach((text, vector) -> vectors.put(text, had(vector)));
    return vectors;
  }

  private static float[] had(Future<float[]> vector) {
    try {
      return vector.get();
    } catch (ExecutionException e) {
      throw new IllegalStateException("no vector", e.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("interrupted while waiting for a vector", e);
    }
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "sentence-model");
    thread.setDaemon(true);
    return thread;
  }

  private synchronized Loaded loaded() {
    if (loaded == null) {
      loaded = load();
    }
    return loaded;
  }

  private static Loaded load() {
    try (InputStream file = resource(MODEL + ".onnx");
        OrtSession.SessionOptions options = new OrtSession.SessionOptions()) {
      options.setIntraOpNumThreads(1);
      OrtEnvironment environment = OrtEnvironment.getEnvironment();
      return new Loaded(
          environment,
          environment.createSession(file.readAllBytes(), options),
          WordPieces.shipped(MODEL + "-tokenizer.json"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (OrtException e) {
      throw new IllegalStateException("the sentence model does not load", e);
    }
  }

  static InputStream resource(String name) throws IOException {
    InputStream file = SentenceModel.class.getResourceAsStream("/" + name);
    if (file == null) {
      throw new FileNotFoundException(name + " is not on the class path");
    }
    return file;
  }

  private static float[] vector(Loaded model, String text) {
    long[] pieces = model.pieces().of(text);
    long[] ones = new long[pieces.length];
    Arrays.fill(ones, 1);
    long[] shape = {1, pieces.length};
    try (OnnxTensor numbers =
            OnnxTensor.createTensor(model.environment(), LongBuffer.wrap(pieces), shape);
        OnnxTensor mask =
            OnnxTensor.createTensor(model.environment(), LongBuffer.wrap(ones), shape);
        OnnxTensor types =
            OnnxTensor.createTensor(
                model.environment(), LongBuffer.wrap(new long[pieces.length]), shape);
        OrtSession.Result result =
            model
                .session()
                .run(
                    Map.of(
                        "input_ids", numbers, "attention_mask", mask, "token_type_ids", types))) {
      return mean(((float[][][]) result.get(0).getValue())[0]);
    } catch (OrtException e) {
      throw new IllegalStateException("no vector of “" + text + "”", e);
    }
  }

  /** The mean of the pieces' vectors, made a unit long. */
  private static float[] mean(float[][] pieces) {
    double[] sum = new double[pieces[0].length];
    for (float[] piece : pieces) {
      for (int k = 0; k < sum.length; k++) {
        sum[k] += piece[k];
      }
    }
    double length = Math.sqrt(Arrays.stream(sum).map(x -> x * x).sum());
    float[] mean = new float[sum.length];
    for (int k = 0; k < mean.length; k++) {
      mean[k] = (float) (sum[k] / length);
    }
    return mean;
  }
}
