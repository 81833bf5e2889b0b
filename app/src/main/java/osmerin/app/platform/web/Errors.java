package osmerin.app.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Pages for what goes wrong. The unexpected gets a number that stands in the log too. */
@ControllerAdvice
class Errors {
  private static final Logger LOG = LoggerFactory.getLogger(Errors.class);
  private final SecureRandom random = new SecureRandom();

  @ExceptionHandler({
    NotFoundException.class,
    NoResourceFoundException.class,
    MethodArgumentTypeMismatchException.class
  })
  String notFound(HttpServletResponse response, Model model) {
    return page(
        response,
        model,
        HttpStatus.NOT_FOUND,
        "Not here",
        "There is no such page here, or it is not yours to see.");
  }

  @ExceptionHandler(RefusedException.class)
  String refused(RefusedException e, HttpServletResponse response, Model model) {
    return page(
        response, model, HttpStatus.UNPROCESSABLE_ENTITY, "That was not done", e.getMessage());
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
  String unexpected(
      Exception e, HttpServletRequest request, HttpServletResponse response, Model model) {
    if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
      HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
      return page(
          response,
          model,
          status,
          "That cannot be read",
          "The address or the form holds something that does not belong there. Nothing was changed.");
    }
    byte[] bytes = new byte[4];
    random.nextBytes(bytes);
    String reference = HexFormat.of().formatHex(bytes);
    LOG.error(
        "{} {} failed, reference {}", request.getMethod(), request.getRequestURI(), reference, e);
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
