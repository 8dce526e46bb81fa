package illuminar.server.people;

import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Member;
import illuminar.server.account.Passwords;
import illuminar.server.account.Secret;
import illuminar.server.account.Sessions;
import illuminar.server.account.Studio;
import illuminar.server.account.StudioRole;
import illuminar.server.account.Studios;
import illuminar.server.audit.Audit;
import illuminar.server.web.Problem;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who belongs to a studio: the first owner, those who are invited, what they may do. */
@Service
class People {
  private final Studios studios;
  private final Accounts accounts;
  private final Invitations invitations;
  private final Passwords passwords;
  private final Sessions sessions;
  private final Audit audit;
  private final EntityManager database;

  People(
      Studios studios,
      Accounts accounts,
      Invitations invitations,
      Passwords passwords,
      Sessions sessions,
      Audit audit,
      EntityManager database) {
    this.studios = studios;
    this.accounts = accounts;
    this.invitations = invitations;
    this.passwords = passwords;
    this.sessions = sessions;
    this.audit = audit;
    this.database = database;
  }

  /** Someone who joins, as they say it. */
  record Joining(String name, String email, String password) {}

  /** Whether there is nobody yet, so that whoever comes founds the first studio. */
  boolean nobody() {
    return accounts.count() == 0;
  }

  /**
   * Founds the first studio and its owner.
   *
   * @throws Problem if there is somebody already
   */
  @Transactional
  public Account found(String studio, Joining owner) {
    // of two who come at once the second must see the first
    database.createNativeQuery("lock table studio in exclusive mode").executeUpdate();
    if (!nobody()) {
      throw new Problem(HttpStatus.CONFLICT, "There is a studio here already; ask its owner.");
    }
    Studio made = studios.save(new Studio(studio, "", false));
    Account account = accounts.save(account(made.id(), owner, StudioRole.OWNER));
    database.flush();
    audit.note(made.id(), account.id(), "founded the studio");
    return account;
  }

  private Account account(UUID studio, Joining who, StudioRole role) {
    Account account =
        new Account(studio, who.email(), who.name(), passwords.encoded(who.password()), role);
    if (accounts.findByEmail(account.email()).isPresent()) {
      throw new Problem(HttpStatus.CONFLICT, "This e-mail address signs in here already.");
    }
    return account;
  }

  /** The secret end of a link by which one person can join. */
  @Transactional
  public String invite(Member owner, StudioRole role) {
    String token = Secret.made();
    invitations.save(new Invitation(owner.studio(), role, name(owner), token));
    audit.note(owner.studio(), owner.account(), "invited somebody as " + words(role));
    return token;
  }

  private String name(Member member) {
    return accounts.findById(member.account()).map(Account::name).orElse("");
  }

  @Transactional
  public void withdraw(Member owner, UUID invitation) {
    invitations.delete(
        invitations
            .findByIdAndStudioId(invitation, owner.studio())
            .orElseThrow(() -> Problem.notFound("invitation")));
  }

  /**
   * An invitation by the end of its link.
   *
   * @throws Problem if it was taken up, withdrawn, or is too old
   */
  @Transactional
  public Invitation invitation(String token) {
    return invitations
        .findByHash(Secret.hash(token))
        .filter(Invitation::good)
        .orElseThrow(
            () ->
                new Problem(
                    HttpStatus.NOT_FOUND,
                    "This invitation was used, withdrawn, or is older than a week."
                        + " Ask for a new one."));
  }

  /** Takes an invitation up. */
  @Transactional
  public Account join(String token, Joining who) {
    Invitation invitation = invitation(token);
    Account account = accounts.save(account(invitation.studioId(), who, invitation.role()));
    invitations.delete(invitation);
    database.flush();
    audit.note(account.studioId(), account.id(), "joined as " + words(account.role()));
    return account;
  }

  /** Changes what somebody may do; they sign in again. */
  @Transactional
  public void change(Member owner, UUID id, StudioRole role) {
    Account account = ofStudio(owner, id);
    ownerStays(owner, account, role == StudioRole.OWNER);
    account.become(role);
    sessions.endAll(id);
    audit.note(owner.studio(), owner.account(), "made " + account.name() + " " + words(role));
  }

  /** Takes somebody's account away; what they made stays with the studio. */
  @Transactional
  public void remove(Member owner, UUID id) {
    Account account = ofStudio(owner, id);
    ownerStays(owner, account, false);
    audit.note(owner.studio(), owner.account(), "took " + account.name() + "'s account away");
    accounts.delete(account);
    sessions.endAll(id);
  }

  private Account ofStudio(Member owner, UUID id) {
    return accounts
        .findById(id)
        .filter(a -> a.studioId().equals(owner.studio()))
        .orElseThrow(() -> Problem.notFound("account"));
  }

  private void ownerStays(Member owner, Account account, boolean owns) {
    // two owners who change each other at once must not leave the studio without one
    database
        .createNativeQuery("select 1 from studio where id = ? for update")
        .setParameter(1, owner.studio())
        .getSingleResult();
    List<Account> all = accounts.findByStudioIdOrderByName(owner.studio());
    boolean other =
        all.stream().anyMatch(a -> a.role() == StudioRole.OWNER && !a.id().equals(account.id()));
    if (!owns && !other) {
      throw new Problem(HttpStatus.CONFLICT, "A studio has one owner at least.");
    }
  }

  private static String words(StudioRole role) {
    return role.name().toLowerCase(java.util.Locale.ROOT);
  }
}
