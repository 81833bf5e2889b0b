package osmerin.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.springframework.web.util.DisconnectedClientHelper;
import osmerin.app.platform.LoggedPath;
import osmerin.app.platform.data.DatabaseAway;

/** Pages for what goes wrong. The unexpected gets a number that stands in the log too. */
@ControllerAdvice
class Errors {
  private static final Logger LOG = LoggerFactory.getLogger(Errors.class);
  private final SecureRandom random = new SecureRandom();

  /** What the reader of a field refused is said as any other refusal; else the address is none. */
  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  String unreadable(
      MethodArgumentTypeMismatchException e, HttpServletResponse response, Model model) {
    return e.getRootCause() instanceof RefusedException refused
        ? refused(refused, response, model)
        : notFound(response, model);
  }

  @ExceptionHandler({NotFoundException.class, NoResourceFoundException.class})
  String notFound(HttpServletResponse response, Model model) {
    return page(
        response,
        model,
        HttpStatus.NOT_FOUND,
        "Not here",
        "There is no such page here, or it is not yours to see.");
  }

  @ExceptionHandler(ForbiddenException.class)
  String forbidden(ForbiddenException e, HttpServletResponse response, Model model) {
    return page(response, model, HttpStatus.FORBIDDEN, "Not yours to do", e.getMessage());
  }

  /** Both values side by side; the person's own is sent again if they want it. */
  @ExceptionHandler(ConflictException.class)
  String conflict(
      ConflictException e, HttpServletRequest request, HttpServletResponse response, Model model) {
    response.setStatus(HttpStatus.CONFLICT.value());
    model.addAttribute("conflict", e);
    addAgain(request, e.seenNow(), model);
    return "conflict";
  }

  /** A question; the form is sent again if the answer is yes. */
  @ExceptionHandler(AskException.class)
  String ask(
      AskException e, HttpServletRequest request, HttpServletResponse response, Model model) {
    response.setStatus(HttpStatus.CONFLICT.value());
    model.addAttribute("ask", e);
    addAgain(request, e.set(), model);
    return "ask";
  }

  /** What the page needs to send the form again, with some fields set, or to go back. */
  private static void addAgain(HttpServletRequest request, Map<String, String> set, Model model) {
    Map<String, List<String>> fields = new LinkedHashMap<>();
    request.getParameterMap().forEach((name, values) -> fields.put(name, List.of(values)));
    fields.remove("_csrf");
    set.forEach((name, value) -> fields.put(name, List.of(value)));
    String back = request.getParameter("back");
    model.addAttribute("fields", fields);
    model.addAttribute("action", request.getRequestURI());
    model.addAttribute("keep", BackTo.isOurs(back) ? back : referer(request));
  }

  /** The page the form was on, when it is ours. */
  private static String referer(HttpServletRequest request) {
    try {
      URI from = URI.create(Optional.ofNullable(request.getHeader("Referer")).orElse("/"));
      String path =
          from.getRawPath() + (from.getRawQuery() == null ? "" : "?" + from.getRawQuery());
      return BackTo.isOurs(path) ? path : "/";
    } catch (IllegalArgumentException e) {
      return "/";
    }
  }

  @ExceptionHandler(RefusedException.class)
  String refused(RefusedException e, HttpServletResponse response, Model model) {
    return page(
        response, model, HttpStatus.UNPROCESSABLE_ENTITY, "That was not done", e.getMessage());
  }

  @ExceptionHandler(MultipartException.class)
  String noFile(HttpServletResponse response, Model model) {
    return page(
        response,
        model,
        HttpStatus.UNPROCESSABLE_ENTITY,
        "There was no file",
        "The file did not arrive whole. Nothing was stored. Choose it and send it again.");
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  String tooLarge(HttpServletResponse response, Model model) {
    return page(
        response,
        model,
        HttpStatus.CONTENT_TOO_LARGE,
        "That file is too large",
        "A file may have up to 200 MB. Nothing was stored. Split the file and upload the parts.");
  }

  @ExceptionHandler(Exception.class)
  @Nullable String unexpected(
      Exception e, HttpServletRequest request, HttpServletResponse response, Model model) {
    if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
      HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
      return page(
          response,
          model,
          status,
          "That cannot be read",
          "The address or the form contains something invalid. Nothing was changed.");
    }
    // Before anything else: a broken line to the database looks like a client that went away.
    if (DatabaseAway.isAway(e)) {
      return page(
          response, model, HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.TITLE, DatabaseAway.TEXT);
    }
    if (DisconnectedClientHelper.isClientDisconnectedException(e)) {
      LOG.info("{} {}: the client went away", request.getMethod(), LoggedPath.of(request));
      return null;
    }
    if (e instanceof DuplicateKeyException || e instanceof ConcurrencyFailureException) {
      LOG.info("{} {}: somebody was faster", request.getMethod(), LoggedPath.of(request));
      return page(
          response,
          model,
          HttpStatus.CONFLICT,
          "Somebody was faster",
          "Somebody changed this at the same moment, so your change was not made. Go back, look at it"
              + " again and decide.");
    }
    byte[] bytes = new byte[4];
    random.nextBytes(bytes);
    String reference = HexFormat.of().formatHex(bytes);
    LOG.error(
        "{} {} failed, reference {}", request.getMethod(), LoggedPath.of(request), reference, e);
    model.addAttribute("reference", reference);
    return page(
        response,
        model,
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Something broke",
        "This was not your doing. What you typed may not have been stored.");
  }

  private static String page(
      HttpServletResponse response, Model model, HttpStatus status, String title, String text) {
    response.setStatus(status.value());
    model.addAttribute("title", title);
    model.addAttribute("text", text);
    return "error-page";
  }
}
